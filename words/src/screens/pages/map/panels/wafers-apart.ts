/** What wafers apart says. */
export const WAFERS_APART_TEXT = {
  wafersAssumedApartTakeIt: 'Wafers assumed separate: undo',
  shownAsAssumedNeverCounted: 'Shown as assumed, never counted as settled; read at the end',
  assumeThatWafersDoNot: 'Assume that wafers do not touch',
};

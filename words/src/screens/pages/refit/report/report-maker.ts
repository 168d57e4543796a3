/** What report maker says. */
export const REPORT_MAKER_TEXT = {
  thePositions: 'The positions',
};

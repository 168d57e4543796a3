/** What settings difference says. */
export const SETTINGS_DIFFERENCE_TEXT = {
  thereIsOnlyOneSetting: 'There is only one setting.',
  from: 'From',
  to: 'to',
  to2: 'To',
};

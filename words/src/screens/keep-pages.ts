/** What keep pages says. */
export const KEEP_PAGES_TEXT = {
  aNewVersionOfWhich: 'A new version of Which Way is available.',
  whatYouEnteredStaysIt: 'What you entered stays. It starts after a reload.',
  takeItNow: 'Reload now',
};

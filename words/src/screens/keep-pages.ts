/** What keep pages says. */
export const KEEP_PAGES_TEXT = {
  aNewVersionOfWhich: 'A new version of Which Way is here.',
  whatYouEnteredStaysIt: 'What you entered stays. It begins with a reload.',
  takeItNow: 'Take it now',
};

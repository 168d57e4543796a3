/** What handle card says. */
export const HANDLE_CARD_TEXT = {
  takeAway: (name: string | number) => `Remove ${name}`,
  takeAway2: 'Remove',
  nothingOfItCounts: 'It doesn’t count: ',
  standsAt: (name: string | number) => `${name} stands at`,
  itsContacts: (name: string | number) => `${name}, its contacts`,
};

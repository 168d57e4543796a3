/** What handle card says. */
export const HANDLE_CARD_TEXT = {
  takeAway: (name: string | number) => `Take ${name} away`,
  takeAway2: 'Take away',
  nothingOfItCounts: 'Nothing of it counts: ',
  standsAt: (name: string | number) => `${name} stands at`,
  itsContacts: (name: string | number) => `${name}, its contacts`,
};

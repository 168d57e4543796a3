/** What springs asked says. */
export const SPRINGS_ASKED_TEXT = {
  doesItSpringBack: 'Does it spring back?',
  moveItThere: (at: string) => `Move it to ${at} and let go: where does it end?`,
  itStays: 'It stays',
  backTo: (to: string) => `Back to ${to}`,
  staysButShouldNot: 'It stays, but shouldn’t',
  unsaidIsAQuestion: 'Until you say, no part counts as doing the same.',
};

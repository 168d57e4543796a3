/** What interlocks says. */
export const INTERLOCKS_TEXT = {
  mechanicalInterlock: 'Mechanical interlock',
  asTheyStandNow: 'Set the switches to a combination that the interlock prevents, then tap it:',
  never: (standings: string) => `${standings}: never together`,
  and: ' and ',
  remove: 'Remove',
};

/** What interlocks says. */
export const INTERLOCKS_TEXT = {
  mechanicalInterlock: 'Mechanical interlock',
  asTheyStandNow: 'Turn the switches to how they can’t stand together, then say so:',
  never: (standings: string) => `Never ${standings}`,
  and: ' with ',
  remove: 'Remove',
};

/** What the map beside its expected table says. */
export const COMPARED_TABLE_TEXT = {
  contact: 'Contact',
  missing: 'missing',
  extra: 'extra',
  notTested: 'not tested',
  fault: 'fault',
  agrees: 'agrees',
  notSaid: 'not specified',
  howIsKnown: (name: string, word: string) => `${name}: ${word}. How it is known`,
  legend: {
    missing: 'Dashed: should be closed, is open.',
    extra: 'Amber: is closed, should be open.',
    hatched: 'Hatched: not tested.',
  },
  measuredAgainst: 'Compared with ',
  change: 'Change',
  done: 'Done',
};

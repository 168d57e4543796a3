/** What inspector says. */
export const INSPECTOR_TEXT = {
  howItIsKnown: 'How it is known',
  at: ' at ',
  close: 'Close',
  thePair: 'The pair ',
  byWayOf: 'By way of ',
  whatJoinsOneJoinsAll: 'what joins one joins all',
  whatPartsOnePartsIts: 'what parts one, parts its whole net',
  readThisPair: 'Read this pair',
  to: ' to ',
  readAgain: 'Read again',
  takeOut: 'Take out',
  countIt: 'Count it',
};

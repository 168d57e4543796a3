/** What doubtful says. */
export const DOUBTFUL_TEXT = {
  oneReadingIsDoubtful: 'One reading is doubtful',
  readingsAreDoubtful: (count: string | number) => `${count} readings are doubtful`,
  theyWereTakenAfterThe: 'They were taken after the last good check of the meter, and the next check failed.',
  askJustThoseAgain: 'Ask just those again',
  ifTheCheckItselfWas: 'If the check itself was the mistake, undo it: then they stand.',
};

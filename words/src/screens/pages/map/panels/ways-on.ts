/** What ways on says. */
export const WAYS_ON_TEXT = {
  everythingAboutMore: (time: string | number) => `Everything: about ${time} more`,
  about: 'About ',
  withText: ' with ',
  clips: ' clips',
  workingPairsAbout: 'Working pairs, about ',
  throwsNotTestedAgainstEach: ': throws not tested against each other',
  goOnAsNow: 'Continue as now',
  changedAtAnyTimeWith: 'Change it at any time with /.',
};

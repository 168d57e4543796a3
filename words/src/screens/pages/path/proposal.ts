/** What proposal says. */
export const PROPOSAL_TEXT = {
  firstMakeItSafe: 'First make it safe',
  ohmsAndFingersInsideOnly: 'Measure ohms or reach in only once it’s proven dead.',
  toTheSafetyList: 'To the safety list',
  lookNext: 'Look next',
  lookNextItTellsMore: 'Look next: it tells more a minute than any measurement',
  lookAt: 'Look at: ',
  whatLooksGoodIsNot: '. What looks good is not cleared by it, only less suspect.',
  byItselfWhatGoesIn: 'By itself: what goes in, what comes out; ohms through it say little',
  fromTheOneEndTo: (on: string | number) =>
    `From the one end to the other, unplugged, on ohms${on}; it should read what its parts add up to`,
  testNext: 'Test next',
  onlyFlexingIsLeft: 'Only flexing is left: it passed at rest, and that does not clear it',
  bend: (what: string) => `Bend it: ${what}`,
  whileYouWatch:
    'Both ends on the meter. Bend it along its whole length, hardest where it enters a plug or a case, and watch for a jump.',
  testNextTheWholeMachine: 'Test next: the whole machine at its plug is the first split',
  testNextItSplitsThe: 'Test next: it splits the suspects best for the least work',
  pinToPinAtThe: 'Pin to pin at the plug',
  voltsWithALoadOn: 'Volts with a load on belong to the',
  liveRecords: 'live records',
  whoMayDoItWrites: ': who may do it writes them down there, and says here whether it passed.',
  handleOffOpenHandleOn: 'Handle off: open. Handle on: what the load reads',
  byWhatIsUsual: ', by what is usual.',
  whatItShouldReadCannot: 'What it should read cannot be said: electronics in it.',
  theLoad: 'The load: ',
  nameplateVolts: 'Nameplate volts',
};

/** What function page says. */
export const FUNCTION_PAGE_TEXT = {
  functionTestEverySettingEvery: 'Function test: every setting, every load',
  stopAndBrakeFirstThen: 'Stop and brake first, then everything else.',
  behindAResidualCurrentDevice:
    'Behind a residual-current device and a current limit. The stop must stop it from every setting before anything else is tried.',
  whatIsTried: 'What is tried',
  allElseWasTriedAnd: 'Everything else was tried and works',
  liveReading: 'Live reading',
  live: 'Live: ',
  whatTheInstrumentShowed: 'What the instrument showed',
  vAcrossTheHeater: '229 V across the heater',
  whyLiveAndWhoIs: 'Why live, and who is competent',
  whyLiveAndWhoIs2: 'why live, and who is competent',
  keepTheRecord: 'Keep the record',
  whatItMustDo: 'what it must do',
  askForIt: 'Add test',
  oneMore: 'One more',
  somethingElseToTryIn: 'Something else to try, in your words',
  whatElseMustItDo: 'What else must it do?',
};

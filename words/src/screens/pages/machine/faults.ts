/** What faults says. */
export const FAULTS_TEXT = {
  itCanBeSaidOnce: 'We can name the fault once you’ve fully specified',
  notSaidInFull: (names: string | number) => `Not fully specified: ${names}.`,
  whatTheSwitchShouldDo: 'what the switch should do',
  whatEachSwitchShouldDo: 'what each switch should do, at Verify of its job.',
  whatWasSeen: 'What was seen',
  whatWasSeenOfIt: 'What did you see it do?',
  whichOfThemIsBad: 'Which of them is bad?',
  tooManyCombinations: (most: string | number) =>
    `That’s more than ${most} combinations, too many to search for a fault. Remove switches that don’t matter to the complaint, or ask in each job by itself.`,
  allElseWorked: 'Everything else worked',
  thenItIsNotThe: 'Then it is not the switch.',
  thenItIsNoneOf: 'Then it is none of the switches.',
  askItOnTheMap: 'Ask it on the Map',
  readItOnItsMap: 'Read it on its Map',
  workItAtVerify: 'Work it at Verify',
  workItAtItsVerify: 'Work it at its Verify',
  isItTheSwitch: 'Is it the switch?',
  firstMakeItSafe: 'First make it safe',
  ohmsAndFingersInsideOnly: 'Measure ohms or reach in only once it’s proven dead. ',
  toTheSafetyList: 'To the safety list',
};

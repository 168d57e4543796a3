/** What faults says. */
export const FAULTS_TEXT = {
  itCanBeSaidOnce: 'We can name the fault once you’ve said in full',
  notSaidInFull: (names: string | number) => `Not said in full: ${names}.`,
  whatTheSwitchShouldDo: 'what the switch should do',
  whatEachSwitchShouldDo: 'what each switch should do, at Verify of its job.',
  whatWasSeen: 'What was seen',
  whatWasSeenOfIt: 'What did you see it do?',
  whichOfThemIsBad: 'Which of them is bad?',
  tooManyCombinations: (most: string | number) =>
    `With more than ${most} combinations no fault is looked for in all of them together. Remove the switches that do not matter to the complaint, or ask in each job by itself.`,
  allElseWorked: 'All else worked',
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

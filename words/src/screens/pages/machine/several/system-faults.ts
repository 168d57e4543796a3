/** What system faults says. */
export const SYSTEM_FAULTS_TEXT = {
  whatWasSeen: 'What was seen',
  whichOfThemIsBad: 'Which of them is bad?',
  withMoreThan: 'With more than ',
  combinationsNoFaultIsLooked:
    ' combinations no fault is looked for in all of them together. Take away the switches that do not matter to the complaint, or ask in each job by itself.',
  itCanBeSaidOnce: 'It can be said once each job says at Verify what its switch should do. Not said in full:',
  whatItDidSo: 'What it did so',
  turnTheHandlesAboveTo: 'Turn the handles above to where it was wrong.',
  whatDidItDo: ': what did it do?',
  allElseWorked: 'All else worked',
  thenItIsNoneOf: 'Then it is none of the switches.',
  seen: 'Seen',
  notSo: (where: string | number, name: string | number) => `Not so: ${where}, ${name}`,
  notSo2: 'Not so',
  readItOnItsMap: 'Read it on its Map',
  workItAtItsVerify: 'Work it at its Verify',
  isItTheSwitch: 'Is it the switch?',
};

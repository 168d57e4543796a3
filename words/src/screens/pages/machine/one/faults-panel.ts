/** What faults panel says. */
export const FAULTS_PANEL_TEXT = {
  whichFaultExplainsAComplaint: 'Which fault explains a complaint can be said once',
  whatTheSwitchShouldDo: 'what the switch should do',
  isSaidInFull: 'is said in full.',
  whatWasSeen: 'What was seen',
  whatWasSeenOfIt: 'What was seen of it',
  allElseWorked: 'All else worked',
  whatTheLoadsDid: 'What the loads did',
  at: (name: string | number, settingName: string | number) => `${name} at ${settingName}`,
  thenItIsNotThe: 'Then it is not the switch.',
  askItOnTheMap: 'Ask it on the Map',
  workItAtVerify: 'Work it at Verify',
  isItTheSwitch: 'Is it the switch?',
  firstMakeItSafe: 'First make it safe',
  ohmsAndFingersInsideOnly: 'Ohms, and fingers inside, only on what is proved dead. ',
  toTheSafetyList: 'To the safety list',
};

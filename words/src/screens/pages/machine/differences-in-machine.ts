/** What differences in machine says. */
export const DIFFERENCES_IN_MACHINE_TEXT = {
  whatTheSwitchDoesOtherwise: 'What the switch does differently',
  withTheSwitchAsIt: 'With the switch as it is',
  at: 'At ',
  isText: ' is',
  andShouldBe: ', and should be ',
  thatExplainsTheComplaint: 'That explains the complaint.',
  itDoesNotExplain: 'It does not explain:',
};

/** What at hand says. */
export const AT_HAND_TEXT = {
  howItIsRead: 'How it is read',
  notClips: (text: string) => `“${text}” isn’t a number of clips. Enter a whole number from 0 to 64.`,
  readBy: 'Read by',
  tone: 'tone',
  ohmsOnTheDisplay: 'ohms on the display',
  aClampOrTapeHolds: 'A clamp or tape holds the handle where it springs back ',
  thatIsPairsAQuick: (length: string | number, value: string | number) =>
    `That is ${length} pairs; a quick check takes at most ${value}. Map the switch instead.`,
  quickCheckOnlyThesePairs: 'Quick check: only these pairs ',
  checkThese: 'Check these',
  itProvesLittleWhatIs: 'It proves little: pairs you don’t choose aren’t tested. It’s never a pass.',
  clipsAtHand: 'Clips at hand',
  moveOneLead: 'Move one lead',
  moveBothLeads: 'Move both leads',
  turnToAnotherPosition: 'Turn to another position',
  readTheMeter: 'Read the meter',
  holdASprungHandleMore: 'Hold a sprung handle, more',
  oneClipOnOrOff: 'One clip on or off',
  isNoTimeTypeSeconds: (text: string | number) =>
    `“${text}” isn’t a time. Type seconds from 0 to 120, such as 2,5.`,
  secondsOfYourHands: 'Seconds of your hands: ',
  asTypedIn: 'as typed in',
  learntFromThisJob: 'learnt from this job',
  learnThemFromThisJob: 'Learn them from this job again',
};

/** What drawing up says. */
export const DRAWING_UP_TEXT = {
  yourOwnSwitch: 'Your own switch',
  lugs: 'Lugs',
  position: 'Position ',
  nothingJoins: 'nothing joins',
  oneMorePosition: 'One more position',
  oneFewer: 'One fewer',
  whatJoinsWithADash: 'What joins, with a dash between. The lugs are shuffled before you get it.',
};

/** What side pane says. */
export const SIDE_PANE_TEXT = {
  whatIsKnown: 'What is known',
  theScreenMayGoDark: 'The screen may go dark. Set the device to stay awake.',
  whatItIs: 'What it is',
  oneThingAboutItIs: 'One thing about it is odd: is this intended?',
  thingsAboutItAreOdd: (open: string | number) => `${open} things about it are odd: are they intended?`,
  truthTableSoFar: 'Truth table so far',
};

/** What expected grid says. */
export const EXPECTED_GRID_TEXT = {
  aTapSays: 'A tap says',
  shouldBe: 'should be',
  ofText: 'Of ',
  onePair: 'one pair',
  pairs: (unsaid: string | number) => `${unsaid} pairs`,
  nothingIsSaidNotCompared: ' nothing is said: not compared.',
  allElseShouldBeOpen: 'All else should be open',
  howIsKnown: (name: string | number) => `How ${name} is known`,
  firstTerminal: 'First terminal',
  to: 'to',
  secondTerminal: 'Second terminal',
  addThisContact: 'Add this contact',
};

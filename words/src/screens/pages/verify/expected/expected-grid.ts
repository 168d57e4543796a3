/** What expected grid says. */
export const EXPECTED_GRID_TEXT = {
  aTapSays: 'Tapping sets',
  shouldBe: 'should be',
  onePair: 'one pair',
  pairs: (unsaid: string | number) => `${unsaid} pairs`,
  nothingIsSaidNotCompared: ' not specified, so not compared.',
  allElseShouldBeOpen: 'Everything else should be open',
  howIsKnown: (name: string | number) => `How ${name} is known`,
  firstTerminal: 'First terminal',
  to: 'to',
  secondTerminal: 'Second terminal',
  addThisContact: 'Add this contact',
};

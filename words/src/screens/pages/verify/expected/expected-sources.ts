/** What expected sources says. */
export const EXPECTED_SOURCES_TEXT = {
  asItWasBeforeIt: 'As it was before it was ',
  itShouldBeA: 'It should be a',
  anOrdinaryKind: 'An ordinary kind',
  itShouldBeA2: 'another kind…',
  asTheDiagramSaysA: 'From the diagram, one position per line',
  takeIt: 'Use it',
};

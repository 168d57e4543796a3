/** What coverage says. */
export const COVERAGE_TEXT = {
  position: 'Position',
  measured: 'measured',
  follows: 'follows',
  notKnown: 'not known',
  wouldTake: 'would take',
  everyPairOfThisPosition: 'Every pair of this position',
  and: (label: string | number, label2: string | number, factWords: string | number) =>
    `${label} and ${label2}: ${factWords}`,
};

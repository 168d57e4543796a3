/** What table or pairs says. */
export const TABLE_OR_PAIRS_TEXT = {
  theTableBy: 'The table by',
  oneMorePairIs: 'One more pair is',
  morePairsAre: (openEverywhere: string | number) => `${openEverywhere} more pairs are`,
  openInEveryPosition: 'open in every position.',
};

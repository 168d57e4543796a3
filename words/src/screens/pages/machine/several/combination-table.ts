/** What combination table says. */
export const COMBINATION_TABLE_TEXT = {
  allCombinations: 'All combinations',
};

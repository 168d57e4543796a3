/** What way back says. */
export const WAY_BACK_TEXT = {
  wayBackOfReadThe: (length: string | number, all: string | number) =>
    `Way back: ${length} of ${all} read the same`,
  eachByOnePairNo:
    'Each by one pair: no position was counted wrong, and no detent makes those from one side only.',
  onePairForEachPosition: 'One pair for each position that tells it from the others.',
  wayBackOtherwiseAt: (names: string | number) => `Way back: different at ${names}`,
  ofText: ' of ',
  readTheSameAWorn:
    ' read the same. A worn detent or contact makes from one side only, or a position was counted wrong: come to it from both sides again.',
};

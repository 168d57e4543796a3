/** What safety signature says. */
export const SAFETY_SIGNATURE_TEXT = {
  answersForIt: ' answers for it, ',
  whoDidIt: 'Who did it?',
  allOfItIsSo: 'All done, and I answer for this list',
  iAnswerForThisList: 'I answer for this list',
  thisAlsoMarksAsDone: (lines: string) => `This also marks as done: ${lines}.`,
  whenEveryLineIsAnswered: 'Once every line is answered and nothing on the right speaks against it.',
};

/** What safety signature says. */
export const SAFETY_SIGNATURE_TEXT = {
  answersForIt: ' answers for it, ',
  whoDidIt: 'Who did it?',
  allOfItIsSo: 'All of it is so, and I answer for this list',
  iAnswerForThisList: 'I answer for this list',
  itSaysAlso: 'It says also: ',
  whenEveryLineIsAnswered: 'When every line is answered and nothing on the right is against it.',
};

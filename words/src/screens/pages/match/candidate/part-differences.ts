import { plural } from '../../../../plural.js';

/** What part differences says. */
export const PART_DIFFERENCES_TEXT = {
  theQuestionsAreCopied: 'The questions are copied.',
  thisBrowserCopiesOnlyAt: 'This browser copies only at a secure address: mark the questions and copy them.',
  sayFirst: 'Say this of the old switch',
  safetyDifferences: 'Safety differences',
  questionsForTheSeller: 'Questions for the seller',
  count: (count: number) => plural(count, 'question'),
  see: 'see',
  copy: 'Copy',
  accepted: 'accepted',
  takeBack: 'Remove answer',
  whyThatIsAccepted: (text: string | number) => `Why that is accepted: ${text}`,
  whyThatCanBeAccepted: 'Why that can be accepted',
  accept: (text: string | number) => `Accept: ${text}`,
  accept2: 'Accept',
};

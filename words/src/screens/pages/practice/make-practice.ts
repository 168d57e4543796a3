/** What make practice says. */
export const MAKE_PRACTICE_TEXT = {
  practiceASurprise: 'Practice: a surprise',
};

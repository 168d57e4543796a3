/** What the leaks of a switch say. */
export const LEAKS_TEXT = {
  notedUnderInsulation: 'Noted under insulation',
  openForThePatternAnd:
    'These are open for the pattern, but a little gets through. Damp or dirty insulation reads so: test it with an insulation tester.',
};

/** What the leaks of a switch say. */
export const LEAKS_TEXT = {
  notedUnderInsulation: 'Noted under insulation',
  openForThePatternAnd:
    'These count as open, but a little current gets through. Damp or dirty insulation does this. Check it with an insulation tester.',
};

/** What leaks says. */
export const LEAKS_TEXT = {
  notedUnderInsulation: 'Noted under insulation',
  openForThePatternAnd:
    'Open for the pattern, and not quite: damp or dirty insulation reads so. It wants an insulation test.',
  at: ' at ',
};

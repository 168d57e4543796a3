/** What differences says. */
export const DIFFERENCES_TEXT = {
  differences: 'Differences',
  patternAgreesWhereSomethingIs: 'Pattern: matches where specified',
  patternAgreesInEveryPair: 'Pattern: agrees in every pair and position',
  patternDiffersMissingAndExtra: (missing: string | number, extra: string | number) =>
    `Pattern: differs, ${missing} missing and ${extra} extra`,
  patternNothingIsSaidYet: 'Pattern: nothing specified yet',
  patternNoDifferenceFoundNot: 'Pattern: no difference found, not all tested',
  pairsAgree: ' pairs agree, ',
  missing: ' missing, ',
  extra: ' extra, ',
  notTested: ' not tested.',
  thisIsNotAPass: 'This is not a pass: finish the map first.',
  notSpokenOfByThe: 'Not in the expected table:',
  all: 'All ',
  differencesOneByOne: ' differences, one by one',
};

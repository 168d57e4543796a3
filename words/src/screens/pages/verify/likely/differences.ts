/** What differences says. */
export const DIFFERENCES_TEXT = {
  differences: 'Differences',
  patternAgreesWhereSomethingIs: 'Pattern: agrees where something is said',
  patternAgreesInEveryPair: 'Pattern: agrees in every pair and position',
  patternDiffersMissingAndExtra: (missing: string | number, extra: string | number) =>
    `Pattern: differs, ${missing} missing and ${extra} extra`,
  patternNothingIsSaidYet: 'Pattern: nothing is said yet, so nothing differs',
  patternNoDifferenceFoundNot: 'Pattern: no difference found, not all tested',
  pairsAgree: ' pairs agree, ',
  missing: ' missing, ',
  extra: ' extra, ',
  notTested: ' not tested.',
  thisIsNotAPass: 'This is not a pass: finish the map first.',
  notSpokenOfByThe: 'Not spoken of by the expected table:',
  all: 'All ',
  differencesOneByOne: ' differences, one by one',
};

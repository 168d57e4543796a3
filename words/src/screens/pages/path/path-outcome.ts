/** What path outcome says. */
export const PATH_OUTCOME_TEXT = {
  allTestsPassOrFail:
    'All tests pass or fail in turn: it comes and goes. Flex and turn each link while you measure it, and test it warm.',
  found: 'Found',
  atFault: 'At fault',
  suspect: 'Suspect',
  cleared: 'Cleared',
};

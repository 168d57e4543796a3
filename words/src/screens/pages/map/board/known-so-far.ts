/** What known so far says. */
export const KNOWN_SO_FAR_TEXT = {
  truthTableSoFar: 'Truth table so far',
  nothingJoinsSoFar: 'Nothing joins so far.',
  readings: 'Readings',
};

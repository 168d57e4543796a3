/** What behaviour search says. */
export const BEHAVIOUR_SEARCH_TEXT = {
  byWhatItDoes: 'By what it does',
  whatItJoinsAPosition: 'What it joins, one position per line; ?1-3 where you don’t know',
  offLowHigh: 'OFF:\nLOW: 1-2\nHIGH: 1-3',
  switchesThatDoThis: 'Switches that do this',
  anOrdinaryKind: 'An ordinary kind',
  beginWithAnOrdinaryKind: 'Start from an ordinary kind…',
};

/** What behaviour search says. */
export const BEHAVIOUR_SEARCH_TEXT = {
  byWhatItDoes: 'By what it does',
  whatItJoinsAPosition: 'What it joins, a position a line; ?1-3 where that is not known',
  offLowHigh: 'OFF:\nLOW: 1-2\nHIGH: 1-3',
  switchesThatDoThis: 'Switches that do this',
  anOrdinaryKind: 'An ordinary kind',
  beginWithAnOrdinaryKind: 'Begin with an ordinary kind …',
};

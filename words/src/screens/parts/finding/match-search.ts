/** What match search says. */
export const MATCH_SEARCH_TEXT = {
  theLibraryIsOnThe: 'The library is on the server: nothing can be looked up until it is back.',
};

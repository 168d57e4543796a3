/** What library select says. */
export const LIBRARY_SELECT_TEXT = {
  findInTheLibrary: 'Find in the library',
  nameMakerFamily: 'Name, maker, family',
  ofAreListedSayMore: (value: string | number, count: string | number) =>
    `${value} of ${count} are listed: type more to narrow.`,
  found: (count: string | number) => `${count} found.`,
  theLibraryCannotBeShown: ' The library cannot be shown.',
};

/** What library page says. */
export const LIBRARY_PAGE_TEXT = {
  library: 'Library',
  knownSwitchesAndParts: 'Known switches and parts',
  find: 'Find',
  nameMakerNumberMarkingFamily: 'Name, maker, number, marking, family',
  saveTheseAsCsv: 'Save these as CSV',
  ofAreListedSayMore: (value: string | number, count: string | number) =>
    `${value} of ${count} are listed: say more words.`,
  found: (count: string | number) => `${count} found.`,
  theLibraryIsEmpty: 'The library is empty.',
  takeInACatalogueA: 'Take in a catalogue, a Which Way file, or a job that was mapped.',
  entries: 'Entries',
  nothingWasSaved: (message: string | number) => `Nothing was saved. ${message}`,
};

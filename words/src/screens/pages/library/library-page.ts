/** What library page says. */
export const LIBRARY_PAGE_TEXT = {
  library: 'Library',
  knownSwitchesAndParts: 'Known switches and parts',
  find: 'Find',
  nameMakerNumberMarkingFamily: 'Name, maker, number, marking, family',
  saveTheseAsCsv: 'Save these as CSV',
  ofAreListedSayMore: (value: string | number, count: string | number) =>
    `${value} of ${count} are listed: type more to narrow.`,
  found: (count: string | number) => `${count} found.`,
  theLibraryIsEmpty: 'The library is empty.',
  takeInACatalogueA: 'Import a catalogue, a Which Way file, or a job that was mapped.',
  entries: 'Entries',
  nothingWasSaved: (message: string | number) => `Nothing was saved. ${message}`,
};

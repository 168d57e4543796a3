/** What take away says. */
export const TAKE_AWAY_TEXT = {
  theFileCouldNotBe: 'The file couldn’t be made. Reload the page and try again.',
  picturesSvg: 'Pictures, SVG',
  schematicSvg: 'Schematic, SVG',
  allOnPaperPdf: 'All on paper, PDF',
  tableCsv: 'Table, CSV',
  tableJson: 'Table, JSON',
  theSwitchAsANetlist: 'The switch as a netlist, SPICE',
  intoTheLibrary: 'Into the library',
  inWordsForTheOwner: 'In words for the owner',
  theWholeJobAsA: 'The whole job as a file',
  print: ' Print',
  noNetlistWhatTheSwitch: 'No netlist: what the switch joins isn’t fully known.',
  mappedAsJobOfPairs: (
    number: string | number,
    value: string | number,
    settled: string | number,
    all: string | number,
  ) => `Mapped as job ${number}: ${value}, ${settled} of ${all} pairs settled.`,
  isInTheLibrary: (title: string | number, coverage: string | number) =>
    `“${title}” is in the library. ${coverage}`,
  itIsNotInThe: (message: string | number) => `It is not in the library. ${message}`,
  itHasMoreThanOne: 'It has more than one handle.',
  anEntryOfTheLibrary: 'A library entry has one list of positions.',
  thisBrowserCopiesOnlyAt: 'This browser copies only at a secure address: mark the words and copy them.',
  forTheOwner: 'For the owner',
  copyIt: 'Copy it',
};

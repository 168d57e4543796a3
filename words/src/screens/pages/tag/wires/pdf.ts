/** What pdf says. */
export const PDF_TEXT = {
  wireTagsOfJob: (number: string | number) => `Wire tags of job ${number}`,
  jobWireTags: (number: string | number, title: string | number) => `Job ${number}, ${title}: wire tags`,
  completeOfPairsSettled: (settled: string | number, all: string | number) =>
    `Complete: ${settled} of ${all} pairs settled.`,
  notCompleteOfPairsSettled: (settled: string | number, all: string | number) =>
    `NOT COMPLETE: ${settled} of ${all} pairs settled so far.`,
  mapOfJob: (number: string | number) => `Map of job ${number}`,
  seenFromTheTerminalSide: 'Seen from the terminal side',
  joinNothing: 'Join nothing',
  joinNothingSoFar: 'Join nothing so far',
  theSwitch: 'The switch',
};

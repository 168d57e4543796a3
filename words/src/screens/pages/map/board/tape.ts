/** What tape says. */
export const TAPE_TEXT = {
  noReadingYet: 'No reading yet.',
  readingsNewestFirst: 'Readings, newest first',
  showAll: 'Show all ',
};

/** What check file says. */
export const CHECK_FILE_TEXT = {
  theShopsSettings: 'the shop’s settings',
  anEvent: 'an event',
  theJobWithEvents: (title: string | number, lost: string | number) => `the job ${title} with ${lost} events`,
  theJob: (title: string | number) => `the job ${title}`,
  theLibraryEntry: (slice: string | number) => `the library entry ${slice}`,
};

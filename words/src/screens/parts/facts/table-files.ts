/** What table files says. */
export const TABLE_FILES_TEXT = {
  theContacts: 'The contacts',
  truthTableOfJob: (number: string | number) => `Truth table of job ${number}`,
  allPositions: 'All positions',
};

/** What put away says. */
export const PUT_AWAY_TEXT = {
  jobIsOnTheBench: (number: string | number) => `Job ${number} is unarchived.`,
  jobIsPutAway: (number: string | number) => `Job ${number} is archived.`,
  jobIsDeleted: (number: string | number) => `Job ${number} is deleted.`,
  deleteJob: (number: string | number) => `Delete job ${number}?`,
  saveItAsAFile: 'Export it first',
  deleteIt: 'Delete',
  keepIt: 'Cancel',
};

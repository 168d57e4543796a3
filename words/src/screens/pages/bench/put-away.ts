/** What put away says. */
export const PUT_AWAY_TEXT = {
  jobIsOnTheBench: (number: string | number) => `Job ${number} is on the bench again.`,
  jobIsPutAway: (number: string | number) => `Job ${number} is put away.`,
  jobIsDeleted: (number: string | number) => `Job ${number} is deleted.`,
  deleteJob: (number: string | number) => `Delete job ${number}?`,
  saveItAsAFile: 'Save it as a file first',
  deleteIt: 'Delete it',
  keepIt: 'Keep it',
};

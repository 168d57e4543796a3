/** What job list says. */
export const JOB_LIST_TEXT = {
  nothingIsPutAway: 'Nothing is archived.',
  theBenchIsEmpty: 'The bench is empty.',
  nothingOnTheBenchIs: (search: string | number) => `No job matches “${search}”.`,
  tryAShorterWordOr: 'Try a shorter word, or the number of the job.',
  aJobThatIsDone: 'Archive a finished job to hide it from this list.',
  takeASwitchPressN: 'No jobs yet. Map your first switch, or import a file.',
  noPlaceGiven: 'no place given',
  asItWasBeingWorked: 'updating…',
  moreForJob: (number: string | number) => `More for job ${number}`,
  putItBackOnThe: 'Unarchive',
  putItAway: 'Archive',
  saveItAsAFile: 'Export',
  deleteIt: 'Delete…',
  atStepOf: (value: string | number, value2: string | number, length: string | number) =>
    `At ${value}, step ${value2} of ${length}`,
};

/** What job list says. */
export const JOB_LIST_TEXT = {
  nothingIsPutAway: 'Nothing is put away.',
  theBenchIsEmpty: 'The bench is empty.',
  nothingOnTheBenchIs: (search: string | number) => `Nothing on the bench is like “${search}”.`,
  tryAShorterWordOr: 'Try a shorter word, or the number of the job.',
  aJobThatIsDone: 'A job that is done can be put away: it stays, and is out of the list.',
  takeASwitchPressN: 'No jobs yet. Map your first switch, or import a file.',
  noPlaceGiven: 'no place given',
  asItWasBeingWorked: 'updating…',
  moreForJob: (number: string | number) => `More for job ${number}`,
  putItBackOnThe: 'Put it back on the bench',
  putItAway: 'Put it away',
  saveItAsAFile: 'Save it as a file',
  deleteIt: 'Delete it …',
  atStepOf: (value: string | number, value2: string | number, length: string | number) =>
    `At ${value}, step ${value2} of ${length}`,
};

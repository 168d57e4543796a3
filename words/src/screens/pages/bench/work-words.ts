/** What work words says. */
export const WORK_WORDS_TEXT = {
  takingInAFile: 'Taking in a file',
  theFileIsTakenIn: 'The file is taken in',
  theFileWasNotTaken: 'The file was not taken in',
  takingInWasStopped: 'Taking in was stopped',
  savingAllAsAFile: 'Saving all as a file',
  allIsSavedAsA: 'All is saved as a file',
  theFileWasNotMade: 'The file was not made',
  savingWasStopped: 'Saving was stopped',
  backingUp: 'Backing up',
  theBackupIsMade: 'The backup is made',
  theBackupWasNotMade: 'The backup was not made',
  backingUpWasStopped: 'Backing up was stopped',
  puttingABackupBack: 'Putting a backup back',
  theBackupIsPutBack: 'The backup is put back',
  theBackupWasNotPut: 'The backup was not put back',
  puttingBackWasStopped: 'Putting back was stopped',
};

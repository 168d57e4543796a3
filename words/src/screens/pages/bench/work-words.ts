/** What work words says. */
export const WORK_WORDS_TEXT = {
  takingInAFile: 'Importing a file',
  theFileIsTakenIn: 'Import finished',
  theFileWasNotTaken: 'The file wasn’t imported',
  takingInWasStopped: 'Import stopped',
  savingAllAsAFile: 'Exporting everything',
  allIsSavedAsA: 'Export finished',
  theFileWasNotMade: 'The export wasn’t made',
  savingWasStopped: 'Export stopped',
  backingUp: 'Backing up',
  theBackupIsMade: 'Backup finished',
  theBackupWasNotMade: 'The backup wasn’t made',
  backingUpWasStopped: 'Backup stopped',
  puttingABackupBack: 'Restoring a backup',
  theBackupIsPutBack: 'Backup restored',
  theBackupWasNotPut: 'The backup wasn’t restored',
  puttingBackWasStopped: 'Restore stopped',
};

/** What data folder says. */
export const DATA_FOLDER_TEXT = {
  theDataFolderCannotBe: (folder: string | number, messageOf: string | number) =>
    `The data folder ${folder} cannot be made: ${messageOf}`,
  anotherWhichWayIsUsing: (folder: string | number) =>
    `Another Which Way is using the data folder ${folder}.\nUse the one that is running, or stop it first. Nothing was changed.`,
  theDataFolderCannotBe2: (folder: string | number, messageOf: string | number) =>
    `The data folder ${folder} cannot be locked: ${messageOf}`,
  noAnswer: 'no answer',
  theDatabaseIsLockedBy: (path: string | number) =>
    `The database ${path} is locked by another program.\nClose that program and start again. Nothing was changed.`,
  theDatabaseWasWrittenBy: (value: string | number) =>
    `The database was written by a newer Which Way: it needs version ${value} or newer.\nUpdate this one, or use another data folder. Nothing was changed.`,
};

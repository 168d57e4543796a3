/** What backup command says. */
export const BACKUP_COMMAND_TEXT = {
  thereIsNoBenchIn: (folder: string | number) =>
    `There is no bench in ${folder}. Name its folder with --data FOLDER.`,
  isThereAlreadyNameAnother: (to: string | number) => `${to} already exists. Name another file.`,
  jobsEventsFilesOfPhotos: (
    to: string | number,
    jobs: string | number,
    events: string | number,
    photos: string | number,
  ) => `${to}\n${jobs} jobs, ${events} events, ${photos} files of photos. Keep it on another disk.\n`,
};

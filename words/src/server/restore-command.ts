/** What restore command says. */
export const RESTORE_COMMAND_TEXT = {
  sayWhichBackupNpmRun: 'Name the backup: npm run restore -- FILE.',
  thereIsNoFile: (resolve: string | number) => `There is no file ${resolve}.`,
  putBackIntoJobsEvents: (
    folder: string | number,
    jobs: string | number,
    events: string | number,
    made: string | number,
  ) => `Put back into ${folder}: ${jobs} jobs, ${events} events, as of ${made}.\n`,
  whatWasThereIsIn: (aside: string | number) => `What was there is in ${aside}.\n`,
  nothingWasChanged: (message: string | number, hint: string | number) =>
    `${message}\n${hint}\nNothing was changed.`,
};

/** What job frame says. */
export const JOB_FRAME_TEXT = {
  job: (number: string | number, title: string | number) => `Job ${number} · ${title}`,
  goToTheBench: 'Go to the bench',
  openingTheJob: 'Opening the job',
  openingTheJob2: 'Opening the job.',
  system: 'System',
  job2: 'Job',
  howItWentAgainstThe: 'How it went, against the switch behind it',
  simulated: 'simulated',
  ofSwitch: 'switch',
  thisJobCannotBeRead: 'This job cannot be read',
  and: 'And ',
  more: ' more.',
  nothingIsWorkedOutFrom:
    'Nothing is calculated from the rest, since it might be wrong. The other jobs aren’t affected. Restore a backup, or',
  saveWhatCanBeRead: 'export what can be read of it',
};

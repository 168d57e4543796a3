/** What keeping line says. */
export const KEEPING_LINE_TEXT = {
  noBackup: 'No backup was made.',
  notRestored: (name: string) => `${name} was not restored.`,
  lastBackup: (formatDistanceToNowStrict: string | number) => `Last backup ${formatDistanceToNowStrict}.`,
  noBackupOfThisBench: 'Never backed up.',
  backUp: 'Back up',
  backupToPutBack: 'Backup to restore',
  putABackupBack: 'Restore a backup',
  eventThatWas: 'event that was',
  eventsThatWere: 'events that were',
  isText: 'is',
  are: 'are',
  savedOnceMissingFromThe: (count: string | number, value: string | number, value2: string | number) =>
    `${count} ${value} saved once ${value2} missing from the database`,
  anOlderCopyOfIt:
    'An older copy may have replaced it, or its disk has lost something. Open the jobs in the browsers where they were worked on: what those still hold is offered there. Or restore a newer backup.',
  iHaveSeenIt: 'I’ve seen it',
  isOnTheBenchAgain: (title: string | number) =>
    `${title} is on the bench again. Open it: its events are offered there.`,
  isMissingAltogetherThisBrowser: ' is missing altogether; this browser still has it.',
  putItBack: 'Put it back',
};

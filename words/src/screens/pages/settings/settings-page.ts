/** What the settings say. */
export const SETTINGS_PAGE_TEXT = {
  settings: 'Settings',
  change: 'Change',
  see: 'See',
  lists: 'Safety checklists',
  listsAbout: 'The shop’s lists and its notes on local codes',
  soundsAndSpeech: 'Sounds and speech',
  soundsAre: (sounds: boolean, speech: boolean) =>
    `Sounds ${sounds ? 'on' : 'off'}, speech ${speech ? 'on' : 'off'}`,
  sounds: 'Sounds: closed, open, look again, contradiction, done',
  speech: 'Speech: each answer is read back, and the next prompt read out',
  thisDevice: 'On this device only.',
  units: 'Units',
  unitsAre: { metric: 'mm, mm², °C', inch: 'in, AWG, °F' },
  unitsAbout:
    'For lengths, wires and temperatures. A length with its own unit, such as 12 mm or 1/2 in, is read either way.',
  files: 'Files and backups',
  filesAbout: 'Export, import, back up, restore',
  exportName: 'Export',
  exportAbout: 'Your work in a file, for another bench or a colleague. Nothing here changes.',
  exportAll: 'Export everything',
  importName: 'Import',
  importAbout: 'Adds what is in such a file to this bench. You see what it holds before it goes in.',
  toTheBench: 'On the bench: Import a file',
  backUpName: 'Back up',
  backUpAbout: 'The whole bench as it is, with all photos, in one file: against a broken disk.',
  backUp: 'Back up',
  restoreName: 'Restore',
  restoreAbout:
    'Puts a whole backup in place of an empty bench. On the bench where it is empty: Restore a backup.',
  notExported: 'Not exported.',
  noBackup: 'No backup was made.',
  about: 'About',
  version: (version: string) => `Which Way ${version}`,
  aboutIt:
    'It runs on your own computer. Nothing is sent anywhere; jobs and photos stay in its data folder. Rules for your place and licensed practice come before anything it says.',
} as const;

/** What start error says. */
export const START_ERROR_TEXT = {
  thePortIsTakenBy: 'The port is taken by another program. Give another one with --port NUMBER.',
  thisPortMayNotBe: 'This port may not be used. Give one above 1023 with --port NUMBER.',
  theDiskIsFullFree: (message: string | number) =>
    `The disk is full: ${message}. Free some space and start again.`,
  optionsDataFolderPortNumber:
    'Options: --data FOLDER, --port NUMBER, --lan, --new-code, --demo, --fresh (moves what is there aside), --yes.',
};

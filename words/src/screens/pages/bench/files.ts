/** What files says. */
export const FILES_TEXT = {
  notSent: (name: string) => `${name} was not sent.`,
  notSaved: 'Not saved.',
  notSignedOut: 'Not signed out.',
  takeInAWhichWay: 'Import a Which Way file',
  takeInAFile: 'Import a file',
  library: 'Library',
  shopLists: 'Settings',
  saveAllAsAFile: ' Export everything',
  signOut: 'Sign out',
};

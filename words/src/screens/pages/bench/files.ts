/** What files says. */
export const FILES_TEXT = {
  notSignedOut: 'Not signed out.',
  takeInAWhichWay: 'Import a Which Way file',
  takeInAFile: 'Import a file',
  library: 'Library',
  shopLists: 'Settings',
  saveAllAsAFile: ' Export everything',
  signOut: 'Sign out',
};

/** What files says. */
export const FILES_TEXT = {
  notSignedOut: 'Not signed out.',
  takeInAWhichWay: 'Take in a Which Way file',
  takeInAFile: 'Take in a file',
  library: 'Library',
  shopLists: 'Shop lists',
  saveAllAsAFile: ' Save all as a file',
  signOut: 'Sign out',
};

/** What save menu says. */
export const SAVE_MENU_TEXT = {
  takeAway: ' Export',
};

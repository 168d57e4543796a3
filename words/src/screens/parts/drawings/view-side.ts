/** What view side says. */
export const VIEW_SIDE_TEXT = {
  seenFromTheTerminalSide: 'Seen from the terminal side',
  seenFromTheFront: 'Seen from the front',
};

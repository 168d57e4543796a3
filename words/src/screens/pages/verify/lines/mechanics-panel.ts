/** What mechanics panel says. */
export const MECHANICS_PANEL_TEXT = {
  mechanics: 'Mechanics',
  all: 'All ',
  inOrder: ' in order',
  where: (sign: string | number) => `Where: ${sign}`,
  photoOf: (sign: string | number) => `Photo of: ${sign}`,
  takeBack: 'Remove',
};

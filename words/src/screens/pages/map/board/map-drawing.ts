/** What map drawing says. */
export const MAP_DRAWING_TEXT = {
  theSwitch: (value: string | number) => `The switch. ${value}`,
};

/** What tag drawing says. */
export const TAG_DRAWING_TEXT = {
  theSwitch: (value: string | number) => `The switch. ${value}`,
};

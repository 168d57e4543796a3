/** What theme switch says. */
export const THEME_SWITCH_TEXT = {
  changeToTheTheme: (other: string | number) => `Change to the ${other} theme`,
};

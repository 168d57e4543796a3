/** What side switch says. */
export const SIDE_SWITCH_TEXT = {
  pressToSeeItFrom: '. Press to see it from the ',
};

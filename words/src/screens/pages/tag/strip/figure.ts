/** What figure says. */
export const FIGURE_TEXT = {
  numbersAboveSuchAsOr: 'Numbers above 0, such as 1500 or 0,5. 1,500 may be either.',
};

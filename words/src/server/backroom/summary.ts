/** What summary says. */
export const SUMMARY_TEXT = {
  itsLogCannotBeMade: (value: string | number) => `Its log cannot be made sense of: ${value}.`,
};

/** What summary says. */
export const SUMMARY_TEXT = {
  itsLogCannotBeMade: (value: string | number) => `Its log can’t be understood: ${value}.`,
};

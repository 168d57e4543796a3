/** What kept field says. */
export const KEPT_FIELD_TEXT = {
  inText: ' in ',
};

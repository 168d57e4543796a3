/** What form pictures says. */
export const FORM_PICTURES_TEXT = {
  whatDoesTheHandMove: 'What does the hand move? ',
  canWait: 'Can wait.',
};

/** What form pictures says. */
export const FORM_PICTURES_TEXT = {
  whatDoesTheHandMove: 'What kind of handle? ',
  canWait: '(optional)',
};

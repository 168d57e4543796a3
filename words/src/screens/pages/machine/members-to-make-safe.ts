/** What members to make safe says. */
export const MEMBERS_TO_MAKE_SAFE_TEXT = {
  firstMakeItSafe: 'First make it safe',
  ohmsAndFingersInsideOnly: 'Ohms, and fingers inside, only on what is proved dead. Not answered for:',
};

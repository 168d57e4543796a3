/** What members to make safe says. */
export const MEMBERS_TO_MAKE_SAFE_TEXT = {
  firstMakeItSafe: 'First make it safe',
  ohmsAndFingersInsideOnly: 'Measure ohms or reach in only once it’s proven dead. Not answered for:',
};

/** What bare ends says. */
export const BARE_ENDS_TEXT = {
  answerAgain: 'Answer again',
  whatStaysBehind: 'What stays behind',
  bareConductorsLeftInThe: 'Bare conductors left in the machine?',
};

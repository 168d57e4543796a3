/** What what it is says. */
export const WHAT_IT_IS_TEXT = {
  whatIsIt: 'What is it?',
  whatTheHandMoves: 'Kind of handle',
};

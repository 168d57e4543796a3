/** What case chips says. */
export const CASE_CHIPS_TEXT = {
  whatElseItIs: 'What else it is',
  casesOfTheTrade: 'Cases of the trade',
};

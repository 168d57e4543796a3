/** What case chips says. */
export const CASE_CHIPS_TEXT = {
  whatElseItIs: 'Special features',
  casesOfTheTrade: 'Cases of the trade',
};

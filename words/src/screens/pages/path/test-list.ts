/** What test list says. */
export const TEST_LIST_TEXT = {
  testsSoFar: 'Tests so far',
  flexed: ', flexed',
  takeBack: 'Remove answer',
};

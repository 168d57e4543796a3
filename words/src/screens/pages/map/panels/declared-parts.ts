/** What declared parts says. */
export const DECLARED_PARTS_TEXT = {
  declaredPaths: 'Declared paths',
  declaredPathsMayAnswerInstead: 'Declared paths: may answer instead of a contact',
  stillOn: ' still on',
  takenOff: ' taken off',
};

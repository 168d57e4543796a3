/** What validation says. */
export const VALIDATION_TEXT = {
  thisFieldIsNotKnown: 'this field is not known',
  removeItOrCheckIts: 'Remove it, or check its spelling.',
  getApiDocsSaysWhat: 'GET /api/docs says what fits.',
};

/** What error body says. */
export const ERROR_BODY_TEXT = {
  getApiDocsListsThe: 'GET /api/docs lists the addresses that there are.',
  getApiDocsSaysWhat: 'GET /api/docs says what is accepted.',
};

/** What loads table says. */
export const LOADS_TABLE_TEXT = {
  whatEachLoadDoes: 'What each load does',
  all: 'all',
};

/** What candidate list says. */
export const CANDIDATE_LIST_TEXT = {
  libraryBestFirst: 'Library, best first',
  why: 'Why ',
  oneDoes: 'one does',
  doText: (length: string | number) => `${length} do`,
  notText: ' not',
  ruledOut: 'Ruled out',
  chosen: 'chosen',
  near: 'near: ',
  safetyDifference: '1 safety difference',
  safetyDifferences: (grave: string | number) => `${grave} safety differences`,
  question: '1 question',
  questions: (asked: string | number) => `${asked} questions`,
  forTheSeller: ' for the seller',
};

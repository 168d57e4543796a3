/** What candidate list says. */
export const CANDIDATE_LIST_TEXT = {
  libraryBestFirst: 'Library, best first',
  ruledOutCount: (count: number, listed: number) =>
    `Ruled out: ${count}${listed < count ? ` (first ${listed} shown)` : ''}`,
  ruledOut: 'Ruled out',
  chosen: 'chosen',
  near: 'near: ',
  safetyDifferences: (grave: string | number) => `${grave} safety differences`,
  question: '1 question',
  questions: (asked: string | number) => `${asked} questions`,
  forTheSeller: ' for the seller',
};

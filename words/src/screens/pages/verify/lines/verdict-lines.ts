/** What verdict lines says. */
export const VERDICT_LINES_TEXT = {
  verdict: 'Verdict',
  notTested: (count: number) => `Not tested: ${count}`,
  limit: (limitWords: string | number) => ` (limit: ${limitWords})`,
};

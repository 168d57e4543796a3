/** What verdict lines says. */
export const VERDICT_LINES_TEXT = {
  verdict: 'Verdict',
  limit: (limitWords: string | number) => ` (limit: ${limitWords})`,
};

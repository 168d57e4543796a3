/** What the band across the top of Verify says. */
export const VERDICT_BAND_TEXT = {
  verdict: 'Verdict',
};

/** What proved with says. */
export const PROVED_WITH_TEXT = {
  whatIsItProvedWith: 'What is it proved with?',
  onWhichKnownSource: 'On which known source?',
  theBenchSocketV: 'the bench socket, 230 V',
};

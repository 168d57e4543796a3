/** What to be shown says. */
export const TO_BE_SHOWN_TEXT = {
  toBeShown: 'To be shown',
  toBeShownSinceThe: 'To be shown, since the complaint was:',
};

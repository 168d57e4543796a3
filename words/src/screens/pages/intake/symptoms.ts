/** What symptoms says. */
export const SYMPTOMS_TEXT = {
  kindOfComplaint: 'Kind of complaint',
  whatKindOfComplaint: 'What kind of complaint',
  asItWasTold: 'as it was told?',
  tryFirst: 'Try first',
  toBeShownAtThe: 'To be shown at the end:',
  verify: 'Verify',
};

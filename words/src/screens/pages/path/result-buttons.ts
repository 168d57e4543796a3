/** What result buttons says. */
export const RESULT_BUTTONS_TEXT = {
  flexedWhileItWasMeasured: 'Flexed while it was measured',
  aCordAtBothEnds: ': a cord at both ends, or a broken strand hides',
  pass: 'Pass',
  fail: 'Fail',
  readsLow: 'Reads low in ohms',
  beeps: 'Only beeps',
  comesAndGoes: 'Comes and goes',
};

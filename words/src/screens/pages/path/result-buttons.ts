/** What result buttons says. */
export const RESULT_BUTTONS_TEXT = {
  flexedWhileItWasMeasured: 'Flexed while it was measured',
  aCordAtBothEnds: ': a cord at both ends, or a broken strand hides',
  comesAndGoes: 'Comes and goes',
};

/** What hazards says. */
export const HAZARDS_TEXT = {
  notKnownToBeSafe: 'Not known to be safe',
  notAllOfItIs: 'Not all of it is known: a short, or something live at OFF, may be among what is not.',
  noShortAndNothingLive: 'No short found in any position; nothing found live at OFF.',
  asFarAsTheWires: 'It only covers wires whose ends are known. This isn’t proof: measure before you touch.',
  goodToKnow: 'Good to know',
  oneThingCanHurt: 'One thing can hurt',
  thingsCanHurt: (length: string | number) => `${length} things can hurt`,
};

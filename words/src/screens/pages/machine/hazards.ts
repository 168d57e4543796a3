/** What hazards says. */
export const HAZARDS_TEXT = {
  notKnownToBeSafe: 'Not known to be safe',
  notAllOfItIs: 'Not all of it is known: a short, or something live at OFF, may be among what is not.',
  noShortAndNothingLive: 'No short and nothing live at OFF is found in this.',
  asFarAsTheWires: 'It only covers wires whose ends are known. This isn’t proof: measure before you touch.',
  goodToKnow: 'Good to know',
  oneThingCanHurt: 'One thing can hurt',
  thingsCanHurt: (length: string | number) => `${length} things can hurt`,
};

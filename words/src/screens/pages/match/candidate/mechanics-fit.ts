/** What mechanics fit says. */
export const MECHANICS_FIT_TEXT = {
  see: 'see',
  whetherItFits: 'Whether it fits',
  nothingIsKnownOfEither: 'Nothing is known of either.',
  notMeasured: 'not measured',
  notStated: 'not stated',
  oldNew: 'Old / new.',
  whatMustFit: 'What must fit',
  isWhereTheOldOne: 'is where the old one is measured.',
};

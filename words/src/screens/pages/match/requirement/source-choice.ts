/** What source choice says. */
export const SOURCE_CHOICE_TEXT = {
  whatAReplacementHasTo: 'What a replacement has to do',
  theMapDiffersFromWhat: 'The map differs from what it should do, or is not complete.',
  hasThisSwitchChooseOne: (
    name: string | number,
    needs: string | number,
    about: string | number,
    has: string | number,
  ) => `${name} has ${needs} ${about}, this switch ${has}. Choose one with as many.`,
  as: 'As ',
  doesLaidOnTheseTerminals: ' does, laid on these terminals.',
  anEntryOfTheLibrary: 'A library entry',
  whatAKnownSwitchDoes: 'What a known switch does…',
};

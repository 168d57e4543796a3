/** What verify page says. */
export const VERIFY_PAGE_TEXT = {
  verify: 'Verify',
  thereIsNothingToCompare: 'There is nothing to compare yet.',
  goToTheMap: 'Go to the Map',
  first: 'first.',
  expectedTable: 'Expected table',
  whatItShouldDo: 'What it should do',
  whatDiffers: 'What differs',
  whatThatDoesInThe: 'What that does in the machine',
  theMakersDiagram: 'The maker’s diagram',
  hasThisSwitchChooseOne: (
    name: string | number,
    needs: string | number,
    about: string | number,
    has: string | number,
  ) => `${name} has ${needs} ${about}, this switch ${has}. Choose one with as many, or fill in the table.`,
  terminalsWereLaidSideBy: 'Terminals are matched by label, positions by order.',
  theLabelsDifferTerminalsWere: 'The labels differ: terminals are matched by order. Check that 1 is 1.',
  knownSwitch: 'Known switch',
  takeItFromTheLibrary: 'Take it from the library',
  clickItInByHand: 'Fill it in by hand',
  leaveTheComparison: 'Remove comparison',
  undo: 'Undo',
  redo: 'Redo',
  thatOneCannotBeLaid: 'That one can’t be compared with this switch.',
  takeAKnownSwitchOr:
    'Choose a known switch, or fill in what the diagram says: which terminals should join in which position.',
};

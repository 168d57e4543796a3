/** What parts section says. */
export const PARTS_SECTION_TEXT = {
  jumpersAndParts: 'Jumpers and parts',
  jumpersAndPartsAcrossIt: 'Jumpers and parts across it',
  jumpersBeforeTheyComeOff:
    'Jumpers before they come off; lamps, coils, resistors, suppressors that conduct without being a contact.',
  stillOn: 'still on',
  remove: 'Remove',
  tapOrChooseTheTwo: 'Tap or choose the two terminals that it bridges.',
  itBridgesTwoTerminalsNot: 'Choose two different terminals.',
  isNotOhmsGiveK: (value: string | number) => `“${value}” isn’t ohms. Enter 40, 2k2, 0,5, or leave it empty.`,
  which: 'which',
  what: 'What',
  ohms: 'Ohms',
  ifKnown: 'if known',
  declare: 'Declare',
  note: 'Note',
};

/** What part identity says. */
export const PART_IDENTITY_TEXT = {
  makerOfThePart: 'Maker of the part',
  itsNumber: 'Its number',
  dateCode: 'Date code',
  makerOfTheMachine: 'Maker of the machine',
  modelOfTheMachine: 'Model of the machine',
  serialNumberOfTheMachine: 'Serial number of the machine',
  thePart: 'The part',
  thisMarkingIs: 'This marking is',
  thisIs: 'This is…',
};

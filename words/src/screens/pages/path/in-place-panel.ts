/** What in place panel says. */
export const IN_PLACE_PANEL_TEXT = {
  inPlaceTheWiresOn: 'In place, with the wires on',
  to: ' to ',
  times: ' times:',
  whatCouldShareThePath: (sharedBy: string | number) => ` What could share the path: ${sharedBy}.`,
  nothingIsReadInOhms: 'Nothing is read in ohms before it is made safe.',
  betweenWhichTwoPoints: 'Between which two points',
  itPartsAt: 'It parts at',
  itJoinsAt: 'It joins at',
  whatElseCouldShareThe: 'What else could share the path',
  beginLeadsOnAndLeave: 'Start: put the leads on and leave them',
  ofText: ' of ',
  handleAt: ': handle at ',
  isText: 'is',
  whatTheMeterSays: 'What the meter says',
  leaveIt: 'Cancel',
};

/** What add to system says. */
export const ADD_TO_SYSTEM_TEXT = {
  aSwitchOfTheBench: 'A switch of the bench',
  chooseAJob: 'Choose a job',
  noOtherSwitchIsOn: 'No other switch is on the bench',
  aFloatThermostatDoorOr: 'A float, thermostat, door or relay',
  aDevice: 'A device',
  whatItIs: 'What it is',
  itsContact: 'Its contact',
  itsName: 'Its name',
  addIt: 'Add it',
  leaveIt: 'Cancel',
};

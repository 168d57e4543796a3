/** What new load says. */
export const NEW_LOAD_TEXT = {
  throughADiode: 'through a diode',
  whatTheLoadIs: 'What the load is',
  loadSuchAsHeater: 'Load, such as heater',
  kindOfLoad: 'Kind of load',
  vAtTheLoad: 'V at the load',
  howTheMotorIsMade: 'How it is made',
  notSpecified: 'Type not specified',
  aAtTheStart: 'A at the start',
  lRMs: 'L/R, ms',
  kindOfCurrentOfThe: 'Kind of current of the load',
  addTheLoad: 'Add the load',
};

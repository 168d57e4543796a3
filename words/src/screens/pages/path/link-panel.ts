/** What link panel says. */
export const LINK_PANEL_TEXT = {
  alone: ' alone',
  besideThePathNotIn: '; beside the path, not in it',
  moveItTowardsTheSupply: 'Move it towards the supply',
  moveItTowardsTheLoad: 'Move it towards the load',
  notInThisMachine: 'Not in this machine',
  backToTheNextTest: 'Back to the next test',
  toTheOtherConductorFar: 'To the other conductor, far end open:',
  toEarthOrTheFrame: 'To earth or the frame:',
  open: 'Open',
  notOpen: 'Not open',
  open2: 'open',
  notOpen2: 'not open',
  besideIt: 'Beside it',
};

/** What table frame says. */
export const TABLE_FRAME_TEXT = {
  theSwitch: 'The switch',
  inTheMachine: 'In the machine',
  partsOfTheTruthTable: 'Parts of the truth table',
};

/** What chain says. */
export const CHAIN_TEXT = {
  supplyPath: 'Supply path',
  theWayBack: 'The way back',
  besideThePathTestedAlone: 'Beside the path, tested alone:',
  besideThePath: 'Beside the path',
};

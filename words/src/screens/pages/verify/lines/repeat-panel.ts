/** What repeat panel says. */
export const REPEAT_PANEL_TEXT = {
  atLeast: 'At least ',
  timesEachStillToBe: ' times each, still to be worked: ',
  runs: 'Runs',
  contact: 'Contact',
  theMeterWatches: 'The meter watches ',
  cycles: ' cycles',
  aCycleTakes: 'A cycle takes',
  begin: 'Start',
};

/** What cycling dialog says. */
export const CYCLING_DIALOG_TEXT = {
  work: (name: string | number) => `Work ${name}`,
  oneStrokeOffAndBack: 'One stroke off and back to each number. Keys only for what goes wrong.',
  missed: ' missed, ',
  stuck: ' stuck, ',
  droppedOut: ' dropped out',
  cyclesThatItReallyWere: 'Actual number of cycles',
  aWholeNumberFromTo: 'A whole number from 1 to 10000, such as 20.',
  under: 'Under',
  keepTheRun: 'Save the run',
};

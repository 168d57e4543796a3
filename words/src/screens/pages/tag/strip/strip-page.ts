/** What strip page says. */
export const STRIP_PAGE_TEXT = {
  backTogether: 'Back together',
  stripLog: 'Strip log',
  assemblyList: 'Assembly list',
  whichWayRound: 'Which way round',
  print: 'Print',
  oneLineForEachThing:
    'One line for each thing that comes off, with a photo before it moves. Backwards, it is how it goes together.',
  steps: 'Steps',
  stepsLastFirst: 'Steps, last first',
  writeDownTheFirstStep: 'Write down the first step',
  nextStep: 'Next step',
  photoOf: (text: string | number) => `Photo of: ${text}`,
  undoThis: 'Undo this: ',
  comesLoose: 'Comes loose',
  goesInHere: 'Goes in here',
  change: 'Change',
};

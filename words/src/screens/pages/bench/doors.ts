/** What the ways in at the bench say. */
export const DOORS_TEXT = {
  nameOfSystem: 'Switches of one machine',
  waysIn: 'Ways in',
  map: 'Map a switch',
  mapAbout: 'Find out what it connects, position by position, with any meter.',
  path: 'Is it the switch?',
  pathAbout: 'Test the way from plug to load before you take it apart.',
  compare: 'Compare two switches',
  compareAbout: 'The new one beside the old, before you fit it.',
  firstTime: 'First time? ',
  practise: 'Practise, 3 min, no switch needed',
  whatMachine: 'What’s the machine? ',
  optional: '(optional)',
  machineExample: 'Drill, dead',
  start: 'Start',
  cancel: 'Cancel',
  untitled: 'Is it the switch?',
  compareWith: 'Choose the switch that’s already mapped. You then measure the other one beside it.',
  noneMapped: 'No switch is mapped yet. Map the first one; then choose this again.',
  combine: 'Combine switches of one machine?',
  combineAbout:
    'Two on the stairs, or a selector and its float: you choose their jobs, then see what they do together. The jobs stay as they are.',
};

/** What system page says. */
export const SYSTEM_PAGE_TEXT = {
  whichSwitchesWorkTogether: 'Which switches work together?',
  twoOnTheStairsA:
    'Two on the stairs, a selector and its float, a mode switch and a speed switch: choose their jobs. Enter once what each wire goes to; then every combination of their handles is calculated.',
  switchesAndDevices: 'Switches and devices',
  itIsNotKnownYet: 'We don’t know what they feed yet.',
  sayInEachJobAt:
    'Say in each job at Tag wires, Wires and jumpers, what its wires bring or feed, and which go to another switch. The same name in two jobs means the same thing here.',
  whatTheMachineIsCalled: 'What the machine is called',
  whatRunsWhen: 'What runs when',
  whichFacts: 'Which facts',
  soManyCombinationsChooseWhich: 'Too many combinations: choose which handles to turn.',
  moreThanAreNotWorked:
    'More than 4,096 aren’t calculated at once. Handles that aren’t ticked stay as they are above.',
  turnedInTheTable: 'Turned in the table',
};

/** What machine page says. */
export const MACHINE_PAGE_TEXT = {
  inTheMachine: 'In the machine',
  itIsNotKnownYet: 'We don’t know where the wires go yet.',
  sayAt: 'Say at',
  wiresAndJumpers: 'Wires and jumpers',
  whatEachWireBringsOr:
    'what each wire brings or feeds: then this shows which lamp lights, which way the motor turns, and what stays live at OFF.',
  theMachine: 'The machine',
  standingAt: 'Standing at',
  inPlace: 'In place',
  tagWhereItEndsIs: (join: string | number) =>
    `Tag ${join}: where it ends is not said, and no answer here relies on it. `,
  notEveryEndIsSaid: (join: string | number) => `${join}: not every end is entered. `,
};

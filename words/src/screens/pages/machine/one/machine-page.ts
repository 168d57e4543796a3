/** What machine page says. */
export const MACHINE_PAGE_TEXT = {
  inTheMachine: 'In the machine',
  itIsNotKnownYet: 'It is not known yet where the wires go.',
  sayAt: 'Say at',
  wiresAndJumpers: 'Wires and jumpers',
  whatEachWireBringsOr:
    'what each wire brings or feeds: then it can be said which lamp lights, which way the motor turns, and what stays live at OFF.',
  theMachine: 'The machine',
  standingAt: 'Standing at',
  inPlace: 'In place',
  loadsBySettings: 'Loads by settings',
  all: 'all',
  notKnownToBeSafe: 'Not known to be safe',
  notAllOfItIs: 'Not all of it is known: a short, or something live at OFF, may be among what is not.',
  noShortAndNothingLive: 'No short and nothing live at OFF is found in this.',
  asFarAsTheWires: 'As far as the wires have ends. It is no proof: measure before you touch.',
  oneThingCanHurt: 'One thing can hurt',
  thingsCanHurt: (length: string | number) => `${length} things can hurt`,
  tagWhereItEndsIs: (join: string | number) =>
    `Tag ${join}: where it ends is not said, and no answer here rests on it. `,
  notEveryEndIsSaid: (join: string | number) => `${join}: not every end is said. `,
};

/** What match words says. */
export const MATCH_WORDS_TEXT = {
  theSwitchIsNotMapped: 'The switch is not mapped yet.',
  noContactIsKnownYet: 'No contact is known yet: nothing joins in any position.',
  thisSwitchHasMoreThan: 'This switch has more than one handle: not compared in this version.',
  thisSwitchHasMoreThan2: 'This switch has more than 32 positions: not compared in this version.',
  nobodyHasSaidWhatIt: 'Nobody has said what it should do: Verify is the place for that.',
  everyPositionWasSaidNot: 'Every position was said not to matter.',
  chooseTheJobOrThe: 'Choose the job or the entry that it should do as.',
  noLoadIsOnA:
    'No load is on a wire yet: say at Wires and jumpers where each wire ends. And what the switch should do has to be known in full.',
  itIsBeingWorkedOut: 'It is being worked out what matters to the machine.',
  moreThanTerminalsCarryWires:
    'More than 8 terminals carry wires: what matters to the machine is not worked out for so many.',
  itTookMoreThanSeconds:
    'It took more than 2 seconds to work out what matters to the machine, and was given up.',
  readingsContradictSettleThatOn:
    'Readings disagree. Settle that on the Map first: no match is built on a dispute.',
};

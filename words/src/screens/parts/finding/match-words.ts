/** What match words says. */
export const MATCH_WORDS_TEXT = {
  leftOver: (terminals: string) => `${terminals} left over`,
  theSwitchIsNotMapped: 'The switch is not mapped yet.',
  noContactIsKnownYet: 'No contact is known yet: nothing joins in any position.',
  thisSwitchHasMoreThan: 'This switch has more than one handle: not compared in this version.',
  thisSwitchHasMoreThan2: 'This switch has more than 64 positions: not compared in this version.',
  nobodyHasSaidWhatIt: 'You haven’t said what it should do. Do that at Verify.',
  everyPositionWasSaidNot: 'You said that no position matters.',
  chooseTheJobOrThe: 'Choose the job or entry it should match.',
  noLoadIsOnA:
    'No wire leads to a load yet: enter where each wire ends at Wires and jumpers. What the switch should do must also be fully known.',
  itIsBeingWorkedOut: 'Calculating what matters to the machine…',
  moreThanTerminalsCarryWires:
    'More than 8 terminals carry wires: that’s too many to calculate what matters to the machine.',
  itTookMoreThanSeconds: 'Calculating what matters to the machine took over 2 seconds and was stopped.',
  readingsContradictSettleThatOn:
    'Readings disagree. Settle that on the Map first: no match is built on a dispute.',
};

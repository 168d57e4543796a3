/** What safety warning says. */
export const SAFETY_WARNING_TEXT = {
  theSafetyListIsHours: (staleHours: string | number) => `The safety list is ${staleHours} hours old`,
  isItStillIsolatedProve: 'Is it still isolated? Prove dead again before you go on.',
  toTheList: 'To the list',
  inCircuitTheWiresAre: 'In circuit: the wires are still on',
  anOpenProvesApartA:
    'An open reading proves the pair open. A closed one proves nothing: the circuit may be what conducts. It’s kept, but not counted.',
  theWiresAreOffNow: 'The wires are off now',
  vWereLeftInIt: ' V were left in it: read ohms both ways round, and take a difference as doubtful.',
  itHadPowerAgain: 'It had power again',
};

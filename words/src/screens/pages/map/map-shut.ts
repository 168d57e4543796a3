/** What map shut says. */
export const MAP_SHUT_TEXT = {
  map: 'Map',
  theMapIsShutThe: 'Mapping is locked: the switch is still in the machine.',
  aMeterOnOhmsMust:
    'A meter on ohms must not meet a live circuit, and a circuit around the switch makes readings lie. Local rules and licensed practice come first; fixed mains wiring is only for people allowed to work on it.',
  goOnWithTheSafety: 'Continue the safety list',
  makeItSafe: 'Make it safe',
  itIsOutOfThe: 'It is out of the machine now',
};

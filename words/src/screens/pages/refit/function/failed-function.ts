/** What failed function says. */
export const FAILED_FUNCTION_TEXT = {
  oneThingFails: 'One thing fails',
  thingsFail: (length: string | number) => `${length} things fail`,
  powerOffAndProvedDead: 'Power off, and proved dead, before a hand goes in.',
  thenItIsNotThe: 'Then it is not the switch.',
  ofOneLine: 'Of one line',
  ofLines: (unsaid: string | number) => `Of ${unsaid} lines`,
  nobodyHasSaidWhatIt: ' nobody has said what it does instead.',
  aWire: 'A wire: ',
  beforePower: 'Before power',
  theSwitch: '. The switch: ',
  theMap: 'the Map',
  itsWiresOffTheFault: ', its wires off. To hunt the fault from before the repair, go to',
  inTheMachine: 'In the machine',
  itIsNoLineOf:
    'It isn’t a load in a position, and those tell the faults: where one of them fails too, say so above.',
  sayBesideItWhatThe:
    'Choose beside it what the load does instead: then the faults that explain it are ranked here.',
  whatGoesBackIsNot: 'What goes back isn’t fully known in every position: no fault can be ranked.',
};

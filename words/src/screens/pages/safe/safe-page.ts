/** What safe page says. */
export const SAFE_PAGE_TEXT = {
  makeSafe: 'Make safe',
  orInTheMachine: 'Or in the machine, ',
  anotherSupplyOrBeginAnew: 'Another supply, or start over',
  whatAppliesHere: 'What applies here',
  theSwitchIsOutOf: ' The switch is out of the machine.',
  nothingElseIsAskedCapacitors:
    'Nothing else is asked. Capacitors on the switch itself may still hold a charge: short them through a resistor first.',
  itIsStillInThe: 'It is still in the machine after all',
  whereItStands: 'Where it stands',
  localRulesComeFirst: 'Local rules come first',
  rulesForYourPlaceAnd:
    'Rules for your place and licensed practice come before this list. Fixed mains, gas, and other people’s vehicles are only for those allowed to work on them. Never work alone on what can kill.',
  changeTheShopsListsAnd: 'Edit safety checklists and code notes',
  itIsOutOfThe: 'It is out of the machine',
  theListFor: 'The list for',
  stillInTheMachineWhat: 'Still in the machine? What feeds it?',
  theShopsListsCannotBe: ' The shop’s lists cannot be read.',
  beginsThisListAnew: 'Start this list over',
  theMapIsShut: 'Mapping is locked',
  theMapIsOpen: 'Mapping is unlocked',
  goToTheMap: 'Go to the Map',
  theListIs: 'The list is ',
  hoursOldProveDeadAgain: ' hours old. Prove dead again before you go on.',
  theWiresAreOffThe: 'The wires are off the switch',
  itHadPowerAgain: 'It had power again',
  notMeasuredSoStoredEnergy: 'Stored energy was not measured. Treat capacitors and suppressors as charged.',
};

/** What jumper tests says. */
export const JUMPER_TESTS_TEXT = {
  jumperTest: 'Jumper test',
  withoutTheSwitch: 'Without the switch',
  wiresJoined: ', wires joined:',
  jumperTestDoesTheRest: 'Jumper test: does the rest work with its wires joined?',
};

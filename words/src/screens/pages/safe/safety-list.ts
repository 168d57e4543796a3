/** What safety list says. */
export const SAFETY_LIST_TEXT = {
  beforeItIsSwitchedOff: 'Before it is switched off',
  beforeItIsSwitchedOff2: 'Before it is switched off: what shows the supply?',
  safetyList: 'Safety list',
  all: 'All ',
  areSo: ' are so',
};

/** What safety list says. */
export const SAFETY_LIST_TEXT = {
  beforeItIsSwitchedOff: 'Before it is switched off',
  beforeItIsSwitchedOff2: 'Before it is switched off: what shows the supply?',
  safetyList: 'Safety list',
  all: 'All ',
  areSo: ' are so',
  keepingTheLastOfThe:
    'Keeping the last of the volts says all three: it showed the voltage before, this was read, it showed the voltage after.',
  sayFirstWithWhatAnd: 'Say first with what, and on which known source.',
};

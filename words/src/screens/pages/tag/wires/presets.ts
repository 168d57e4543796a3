/** What presets says. */
export const PRESETS_TEXT = {
  commonArrangements: 'Common arrangements',
  aCommonArrangement: 'A common arrangement',
  layACommonArrangementOn: 'Lay a common arrangement on it …',
  thisSwitchDoesNotDo: 'This switch does not do that, or what it does is not known in full yet.',
  byWhatTheSwitchDoes:
    'By what the switch does. Where it could lie more than one way round, this is one of them: look at the wires.',
  layIt: 'Lay it',
  leaveIt: 'Leave it',
};

/** What presets says. */
export const PRESETS_TEXT = {
  commonArrangements: 'Common arrangements',
  aCommonArrangement: 'A common arrangement',
  layACommonArrangementOn: 'Use a common arrangement…',
  thisSwitchDoesNotDo: 'This switch doesn’t do that, or isn’t fully mapped yet.',
  byWhatTheSwitchDoes:
    'Matched by what the switch does. If it fits more than one way round, this is one of them: check the wires.',
  supplyVolts: 'V of the supply',
  wattsOf: (load: string) => `W of ${load}`,
  figuresOptional: 'Optional. Without figures, no watts are calculated.',
  anotherSwitchOrDevice: 'another switch or device',
  layIt: 'Use it',
  leaveIt: 'Cancel',
};

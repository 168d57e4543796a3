/** What path page says. */
export const PATH_PAGE_TEXT = {
  isItTheSwitch: 'Is it the switch?',
  whatKindOfMachine: 'What kind of machine',
  beforeTheSwitchIsBlamed:
    'Before you blame the switch: what’s between supply and load? Pick the closest, then add or remove parts.',
};

/** What path page says. */
export const PATH_PAGE_TEXT = {
  isItTheSwitch: 'Is it the switch?',
  whatKindOfMachine: 'What kind of machine',
  beforeTheSwitchIsBlamed:
    'Before the switch is blamed: what lies between the supply and the load? Take the nearest, then tap links in and out.',
};

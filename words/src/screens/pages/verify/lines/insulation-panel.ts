/** What insulation panel says. */
export const INSULATION_PANEL_TEXT = {
  insulationWithAnInsulationTester: 'Insulation test (needs an insulation tester)',
  forWhoMayDoIt:
    'Only for people permitted to do it; never on electronics, with lamps, varistors and suppressors lifted. 1 megohm at 500 V DC, 2 for double insulation, is common practice; the shop’s own limits and local rules come first.',
  mAt: ' MΩ at ',
  v: ' V, ',
  atLeast: '; at least ',
  m: ' MΩ',
  takeBack: 'Remove',
  testVoltsDc: 'Test volts DC',
  atLeast2: 'At least',
  numbersSuchAsVoltsAnd: 'Numbers such as 500 volts and 0,8 megohm.',
  keep: 'Save',
};

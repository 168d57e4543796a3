/** What refit page says. */
export const REFIT_PAGE_TEXT = {
  wiresBack: 'Wires back',
  beforePower: 'Before power',
  jumperTest: 'Jumper test',
  functionTest: 'Function test',
  partsOfPuttingItBack: 'Parts of putting it back',
};

/** What supplies and loads says. */
export const SUPPLIES_AND_LOADS_TEXT = {
  suppliesAndLoads: 'Supplies and loads',
  remove: (words: string | number) => `Remove ${words}`,
  remove2: 'Remove',
  whichSupply: 'Which supply',
  kindOfCurrentOfThe: 'Kind of current of the supply',
  nameOfTheSupply: 'Name of the supply',
  name: 'such as house battery',
  addTheSupply: 'Add the supply',
};

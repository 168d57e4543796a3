/** What load ends says. */
export const LOAD_ENDS_TEXT = {
  whereGoesWithoutTheSwitch: (endWords: string | number) => `Where ${endWords} goes without the switch`,
  mechanicalInterlock: 'Mechanical interlock',
  whatIsKeptOutWith: (name: string | number) => `Which coil can’t pull in together with ${name}`,
  none: 'none',
};

/** What load ends says. */
export const LOAD_ENDS_TEXT = {
  whereGoesWithoutTheSwitch: (endWords: string | number) => `Where ${endWords} goes without the switch`,
};

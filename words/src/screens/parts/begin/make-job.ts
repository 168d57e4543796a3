/** What make job says. */
export const MAKE_JOB_TEXT = {
  simulatedSwitchTerminals: (terminals: string | number) => `Simulated switch, ${terminals} terminals`,
  switchWithTerminals: (terminals: string | number) => `Switch with ${terminals} terminals`,
};

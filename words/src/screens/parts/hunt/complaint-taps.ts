/** What complaint taps says. */
export const COMPLAINT_TAPS_TEXT = {
  whatIsWrongWith: (name: string | number) => `What is wrong with ${name}`,
};

/** What does instead says. */
export const DOES_INSTEAD_TEXT = {
  whatDoesInstead: (value: string | number) => `What ${value} does instead`,
  whatDoesItDoInstead: 'What does it do instead?',
};

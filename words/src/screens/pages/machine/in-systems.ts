/** What in systems says. */
export const IN_SYSTEMS_TEXT = {
  withOthers: (title: string) => `${title}, with others`,
  withOtherSwitches: 'With other switches',
  twoOnTheStairsOr: 'Two on the stairs, or a selector and its float: what they do together.',
  joinItWithAnotherSwitch: 'Join it with another switch',
};

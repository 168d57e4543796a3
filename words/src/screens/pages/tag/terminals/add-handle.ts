/** What add handle says. */
export const ADD_HANDLE_TEXT = {
  thereIsOneMoreHandle: 'Add another handle',
  whatItIs: 'What it is',
  itsPositionsWithCommasBetween:
    'Its positions, with commas between; first the one that all readings so far were taken in',
  everyCombinationMatters: 'Every combination matters',
  thatIsMoreThanSettings: 'That is more than 256 settings. Use fewer combinations.',
  moreToMap: (extra: string | number, value: string | number) => `${extra} more ${value} to map.`,
  addIt: 'Add it',
  handle: (count: number) => `Handle ${count}`,
  close: 'Close',
};

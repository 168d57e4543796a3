/** What prompt bar says. */
export const PROMPT_BAR_TEXT = {
  whatToDoNext: 'What to do next',
  thenIfNone: 'Then, if none: ',
  ifItSounds: '. If it sounds: ',
  ofText: ' of ',
  pairsSettled: 'pairs settled',
  whyThis: 'Why this: ',
  at: 'at ',
  measured: ' measured, ',
  follow: ' follow',
  assumed: (assumed: string | number) => `, ${assumed} assumed`,
  reCheck: 'Re-check: ',
  touchesMore: ' touches more, ',
  aboutTouchesMore: (touches: string | number, time: string | number) =>
    `About ${touches} touches more, ${time}`,
  atMostTouchesMore: (touches: string | number, time: string | number) =>
    `At most ${touches} touches more, ${time}`,
  inThePositionsFoundSo: ', in the positions found so far',
};

import { plural, touches } from '../../../../plural.js';

/** What prompt bar says. */
export const PROMPT_BAR_TEXT = {
  elsewhere: 'the plan goes on elsewhere',
  whatToDoNext: 'What to do next',
  seeTheTruthTable: 'See the truth table',
  thenIfNone: (ohms: boolean) => (ohms ? 'Then, if open: ' : 'Then, if none: '),
  ifItSounds: (ohms: boolean) => (ohms ? '. If closed: ' : '. If it beeps: '),
  ofText: ' of ',
  pairs: 'pairs',
  settled: ' settled',
  whyThis: 'Why this: ',
  at: 'at ',
  measured: ' measured, ',
  follow: ' follow',
  assumed: (assumed: string | number) => `, ${assumed} assumed`,
  reCheck: 'Re-check: ',
  reCheckMore: (count: number, time: string) => `${touches(count)} more, ${time}`,
  aboutTouchesMore: (count: number, time: string) => `About ${touches(count)} more, ${time}`,
  atMostReadingsMore: (count: number, time: string) =>
    `Up to ${plural(count, 'reading')} more, about ${time}`,
  inThePositionsFoundSo: ', in the positions found so far',
};

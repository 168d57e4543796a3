import { plural, touches } from '../../../../plural.js';

/** What approach panel says. */
export const APPROACH_PANEL_TEXT = {
  soFar: ', in the positions found so far',
  quickCheck: 'Quick check',
  howToMap: 'How to map',
  byTimeWithClips: (clips: string | number) => `By time, with ${clips} clips`,
  terminalsAreTiedTogetherOne: 'Terminals are tied together: one reading settles many pairs.',
  workingPairsOnly: 'Working pairs only',
  theCommonsAgainstTheirThrows:
    'The commons against their throws. Throws are not tested against each other: no pass.',
  about: (time: string | number) => `about ${time}`,
  effort: (keys: number, turns: number, leads: number) =>
    `${plural(keys, 'key')}, ${plural(turns, 'turn')}, ${touches(leads)}`,
  quickest: 'Quickest',
  noForecast: 'no forecast',
  howToMapFromThe: 'How to map, from the next prompt on',
  thisBrowserRunsNoWorker:
    'This browser can’t calculate in the background: the order is as chosen, without a forecast.',
  timesAreAForecastFor: (value: string | number) =>
    `Times are a forecast for the kind of switch this probably is${value}.`,
};

import { byTime } from './by-time.js';
import { bundleSays } from './field.js';
import type { Hands } from './hands.js';
import type { Move } from './move.js';
import type { Planner, Situation } from './situation.js';

/** Tie 0..i-1, the lone lead on i, every setting where it is not known; then clip i in. Bundles first, then pairs. */
export const ladder: Planner = (situation) => {
  const { bundles, places } = situation.field;
  const givenUp = bundles.all >= ENOUGH && bundles.low > tooLow(places.length) * bundles.all;
  return (givenUp ? null : rung(situation)) ?? byTime(situation);
};

/** Readings of bundles after which a ladder may be given up. */
const ENOUGH = 4;

/** The share of low ones above which it is: more terminals make a low one worth more (tuned on drawn switches). */
const tooLow = (terminals: number): number => 0.3 + 0.015 * terminals;

/**
 * The first rung that still says something; null with too few terminals or clips.
 * @param expected settings in which a rung is worth it: where it is expected to be open. All without it.
 */
export function rung(
  { field, costs, hands }: Situation,
  expected: (setting: number, tied: readonly number[], lone: number) => boolean = () => true,
): Move | null {
  const { places } = field;
  if (costs.clipsOwned < 2 || places.length <= 5) return null;
  for (let at = 1; at < places.length; at += 1) {
    const lone = places[at] as number;
    for (let from = 0; from < at; from += costs.clipsOwned) {
      const tied = places.slice(from, Math.min(at, from + costs.clipsOwned));
      const settings = field.settings.flatMap((_, setting) =>
        bundleSays(field, setting, tied, [lone]) === null && expected(setting, tied, lone) ? [setting] : [],
      );
      if (settings.length > 0)
        return { kind: 'hold', red: tied, black: [lone], settings: nearestFirst(settings, hands) };
    }
  }
  return null;
}

const nearestFirst = (settings: number[], { setting }: Hands): number[] =>
  setting !== null &&
  Math.abs(setting - (settings.at(-1) as number)) < Math.abs(setting - (settings[0] as number))
    ? settings.toReversed()
    : settings;

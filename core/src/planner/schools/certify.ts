import { netOf } from '../../continuity/index.js';
import type { Pattern } from '../../partition/index.js';
import { bestRate, byTime } from './by-time.js';
import type { Chance } from '../chance/chance.js';
import type { Field } from '../field/field.js';
import { rung } from './ladder.js';
import type { Planner } from './situation.js';

/** What the switch may be: a pattern over the places of the terminals, one partition per setting, and what it is called. */
export interface Hypothesis {
  name: string;
  pattern: Pattern;
}

/** What a hypothesis says of two terminals, as a chance: sure of nothing, but nearly. */
const chanceOf =
  ({ pattern }: Hypothesis): Chance =>
  (setting, a, b) =>
    pattern[setting]?.[a] === pattern[setting]?.[b] ? 0.96 : 0.01;

/**
 * Proves a pattern that is known or expected, in the fewest readings: the joins that it says first, then, with clips, one
 * bundle for each net against those before it, then the pairs that are left. Where it is wrong the answers win.
 */
export const certify =
  (hypothesis: Hypothesis): Planner =>
  (situation) => {
    const { pattern } = hypothesis;
    const says = (setting: number, a: number, b: number) => pattern[setting]?.[a] === pattern[setting]?.[b];
    const expecting = { ...situation, chance: chanceOf(hypothesis) };
    return (
      bestRate(expecting, says)?.move ??
      rung(expecting, (setting, tied, lone) => !tied.some((one) => says(setting, one, lone))) ??
      byTime(expecting)
    );
  };

/** Whether nothing that is known contradicts a hypothesis, and no low bundle is left without a pair that may close it. */
export function agrees({ places, settings }: Field, { pattern }: Hypothesis): boolean {
  return settings.every(({ nets, clauses }, setting) => {
    const says = pattern[setting];
    if (!says) return true;
    const net = places.map((place) => netOf(nets, place));
    const pairs = places.every((a, at) =>
      places.slice(at + 1).every((b, further) => {
        const [one, other] = [net[at] as number, net[at + 1 + further] as number];
        if (one === other) return says[a] === says[b];
        return !nets.apart.has(one, other) || says[a] !== says[b];
      }),
    );
    return (
      pairs && clauses.every(({ red, black }) => red.some((a) => black.some((b) => says[a] === says[b])))
    );
  });
}

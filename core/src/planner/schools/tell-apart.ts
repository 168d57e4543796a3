import { agrees, type Hypothesis } from './certify.js';
import { isUnknown } from '../field/field.js';
import { costOf, oriented } from '../hands/hands.js';
import { pairMove, type Move } from '../hands/move.js';
import type { Planner } from './situation.js';

/**
 * The pair that best tells apart what the switch may still be: most bits a second, each hypothesis that agrees with what is
 * known taken as equally likely; null when none or one is left, or no open pair tells any two apart.
 */
export const tellApart =
  (hypotheses: readonly Hypothesis[]): Planner =>
  ({ field, hands, costs }) => {
    const left = hypotheses.filter((one) => agrees(field, one));
    if (left.length < 2) return null;
    let best: { move: Move; rate: number } | null = null;
    const held = (setting: number) => field.settings[setting]?.held ?? false;
    field.settings.forEach((_, setting) => {
      for (const [at, a] of field.places.entries())
        for (const b of field.places.slice(at + 1)) {
          if (!isUnknown(field, setting, a, b)) continue;
          const joined = left.filter(({ pattern }) => pattern[setting]?.[a] === pattern[setting]?.[b]).length;
          if (joined === 0 || joined === left.length) continue;
          const move = pairMove(setting, ...oriented(a, b, hands));
          const rate = bits(joined / left.length) / costOf(move, hands, costs, held).seconds;
          if (!best || rate > best.rate + 1e-12) best = { move, rate };
        }
    });
    return (best as { move: Move } | null)?.move ?? null;
  };

/** Entropy of a yes or no, in bits. */
const bits = (chance: number): number => -chance * Math.log2(chance) - (1 - chance) * Math.log2(1 - chance);

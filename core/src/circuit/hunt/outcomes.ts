import { comesAndGoes } from './fault.js';
import type { ModelledFault } from './fault-model.js';
import { THERE, type RankedFault } from './rank.js';

/** What a test finds with a fault, each with how often; undefined: it cannot be said. */
export type Outcomes = (
  one: ModelledFault,
) => readonly (readonly [outcome: unknown, share: number])[] | undefined;

/** A test that finds one thing with each fault; with what comes and goes half the time what it finds where nothing is wrong. */
export function steadyOr(
  outcomeOf: (one: ModelledFault) => unknown,
  none: ModelledFault | undefined,
  unsteady: boolean,
): Outcomes {
  return (one) => {
    const outcome = outcomeOf(one);
    if (outcome === undefined) return undefined;
    const without = unsteady && none && comesAndGoes(one.fault) ? outcomeOf(none) : outcome;
    if (without === outcome) return [[outcome, 1]];
    return [[outcome, THERE], [without, 1 - THERE]]; // prettier-ignore
  };
}

/** Information in a test, in bits: the entropy of its outcome over the faults, less what is chance with each of them (Shannon). */
export function bitsOf(ranked: readonly RankedFault[], outcomesOf: Outcomes): number {
  const chances = new Map<unknown, number>();
  let [sum, byChance] = [0, 0];
  for (const one of ranked) {
    const outcomes = outcomesOf(one);
    if (outcomes === undefined) continue;
    sum += one.chance;
    for (const [outcome, share] of outcomes) {
      chances.set(outcome, (chances.get(outcome) ?? 0) + one.chance * share);
      byChance -= one.chance * share * Math.log2(share);
    }
  }
  // One outcome whatever is wrong: no news, and no rounding that looks like some.
  if (chances.size < 2) return 0;
  const all = [...chances.values()].reduce(
    (bits, chance) => bits - (chance / sum) * Math.log2(chance / sum),
    0,
  );
  return all - byChance / sum;
}

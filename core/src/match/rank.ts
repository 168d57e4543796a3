import type { KnownSwitch } from '../switch/index.js';
import type { Difference } from './differ/difference.js';
import type { MatchResult } from './match.js';

/** What a candidate is ranked by. */
interface Ranked {
  known: Pick<KnownSwitch, 'kind' | 'facts'>;
  result: MatchResult;
  differences: readonly Difference[];
}

/**
 * The order in the list, compared figure by figure, so that no mere count outweighs what stands before it: whether it may do at
 * all, safety differences, added junctions, positions between, what can be bought before mere patterns, reversed order, spares,
 * questions, price.
 */
export function rankOf({ known, result, differences }: Ranked): number[] {
  const many = (gravity: Difference['gravity']) =>
    differences.filter((one) => one.gravity === gravity).length;
  switch (result.kind) {
    case 'same-wiring':
    case 'fits-so-far':
      return [
        0,
        many('safety'),
        result.jumpers,
        result.between.length,
        known.kind === 'part' ? 0 : 1,
        result.order === 'reversed' ? 1 : 0,
        result.sparePositions.length,
        result.spareTerminals.length,
        many('question'),
        known.facts?.price ?? Infinity,
      ];
    case 'undecided':
      return [1];
    case 'no':
      return [result.because === 'wiring' ? 2 : 3];
  }
}

/** Compares two ranks: negative where the first is better. */
export function compareRanks(one: readonly number[], other: readonly number[]): number {
  for (let at = 0; at < Math.max(one.length, other.length); at += 1) {
    const [a, b] = [one[at] ?? 0, other[at] ?? 0];
    if (a !== b) return a < b ? -1 : 1;
  }
  return 0;
}

import { factAt, type Settled } from './settled.js';

/** How far one setting is, counted in pairs of contact terminals. */
export interface Coverage {
  pairs: number;
  measured: number;
  follows: number;
  /** Said by a person to be apart, and not read. */
  assumed: number;
  disputed: number;
  unknown: number;
  /** Pairs with a reading that decides nothing until it is looked at again. */
  lookAgain: number;
  /** Too tangled to be sorted out: nothing is claimed. */
  tangled: boolean;
}

/** Counts the pairs among the given places (the contact terminals; the frame does not count). */
export function coverageOf(settled: Settled, places: readonly number[]): Coverage {
  const count: Coverage = {
    pairs: 0,
    measured: 0,
    follows: 0,
    assumed: 0,
    disputed: 0,
    unknown: 0,
    lookAgain: settled.lookAgain.length,
    tangled: settled.tangled,
  };
  places.forEach((a, at) => {
    for (const b of places.slice(at + 1)) {
      const { state } = factAt(settled, a, b);
      count.pairs += 1;
      if (state !== 'unknown' && state !== 'predicted') count[state] += 1;
      else count.unknown += 1;
    }
  });
  return count;
}

/** Nothing unknown, assumed or disputed, nothing to look at again, nothing too tangled. */
export function isComplete({ assumed, disputed, unknown, lookAgain, tangled }: Coverage): boolean {
  return !tangled && assumed === 0 && disputed === 0 && unknown === 0 && lookAgain === 0;
}

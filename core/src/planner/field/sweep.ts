import { factAt, type Settled } from '../../continuity/index.js';

/** One lead stays on `red`, the other goes over `black`: places of terminals. */
export interface Sweep {
  red: number;
  black: number[];
}

/**
 * Which touches of a sweep need not be made (any more), given those that sounded: what then follows.
 * @param sounded places of `sweep.black` that joined `sweep.red`.
 */
export function impliedBySounded(settled: Settled, sweep: Sweep, sounded: ReadonlySet<number>): Set<number> {
  const implied = new Set<number>();
  for (const other of sweep.black) {
    if (sounded.has(other)) continue;
    for (const joined of sounded) {
      const { state, joined: together } = factAt(settled, joined, other);
      if ((state === 'measured' || state === 'follows') && together === false) implied.add(other);
    }
  }
  return implied;
}

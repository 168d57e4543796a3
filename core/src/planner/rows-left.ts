import { factAt, type Settled } from '../continuity/index.js';

/** One lead stays on `red`, the other goes over `black`: places of terminals. */
export interface Sweep {
  red: number;
  black: number[];
}

/** Pairs (by place, smaller first, as `a,b`) that are not to be asked: skipped, or read already without result. */
export type LeaveOut = ReadonlySet<string>;

export const pairKey = (a: number, b: number): string => (a < b ? `${a},${b}` : `${b},${a}`);

function isOpenQuestion(settled: Settled, a: number, b: number, leaveOut: LeaveOut): boolean {
  return factAt(settled, a, b).state === 'unknown' && !leaveOut.has(pairKey(a, b));
}

/** Pairs of a setting that were read, and whose reading decides nothing: not asked again by itself. */
export function triedInVain(settled: Settled): Set<string> {
  return new Set(settled.lookAgain.map(({ a, b }) => pairKey(a, b)));
}

/**
 * The most that is left in one setting: as if every pair that is unknown were open. A join settles at least as
 * much as an open, so no run of answers needs more readings; each sweep adds one touch for the lead that stays.
 */
export function mostLeft(
  settled: Settled,
  places: readonly number[],
  leaveOut: LeaveOut,
): { readings: number; sweeps: number } {
  let readings = 0;
  let sweeps = 0;
  const seen = new Set<string>();
  places.forEach((red, at) => {
    let row = 0;
    for (const black of places.slice(at + 1)) {
      if (!isOpenQuestion(settled, red, black, leaveOut)) continue;
      const nets = pairKey(settled.nets[red] as number, settled.nets[black] as number);
      if (seen.has(nets)) continue;
      seen.add(nets);
      row += 1;
    }
    readings += row;
    if (row > 0) sweeps += 1;
  });
  return { readings, sweeps };
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

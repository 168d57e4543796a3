import type { SwitchMap } from '../continuity/index.js';
import { type DeedOf, deedsOf } from '../log/index.js';
import type { CheckReading } from './check/check.js';
import { checkBench } from './check/mistakes.js';
import type { Refit } from './refit.js';

/** Where a reading of the check is taken: the place of the position, and of two ends among `nodesOf` the bench. */
type Taken = Pick<CheckReading, 'position' | 'a' | 'b'>;

/** Under what a reading is kept: names that outlast another label, another name of a position, another order of them. */
export function keptUnder(
  refit: Refit,
  { position, a, b }: Taken,
): Pick<DeedOf<'check-read'>, 'position' | 'setting' | 'ends'> {
  const { laid } = checkBench(refit);
  const name = (node: number) => {
    const wire = laid[node]?.wire;
    return wire ? `wire ${wire.id}` : (refit.lugKeys[node - laid.length] ?? '?');
  };
  const setting = refit.positions[position]?.setting;
  return { position, ...(setting && { setting }), ends: [name(a), name(b)] };
}

/**
 * What the check has read of what goes back, by where it is taken as it is now, oldest first; the newest reading of a place counts, and
 * one that was taken back does not. A reading at a position or a lug that is no more is left out.
 */
export function keptReadings({ log }: Pick<SwitchMap, 'log'>, refit: Refit): (Taken & { read: boolean })[] {
  const { laid } = checkBench(refit);
  const places = new Map([
    // Readings of before the switch's own lugs were kept by their ids.
    ...refit.lugs.map((label, lug) => [`lug ${label}`, laid.length + lug] as const),
    ...refit.lugKeys.map((key, lug) => [key, laid.length + lug] as const),
    ...laid.map(({ wire }, at) => [`wire ${wire.id}`, at] as const),
  ]);
  const found = new Map<string, Taken & { read: boolean }>();
  for (const { position: place, setting, ends, joins } of deedsOf(log, 'check-read')) {
    const position = setting ? refit.positions.findIndex((one) => one.setting === setting) : place;
    const [one, other] = ends.map((end) => places.get(end));
    if (!refit.positions[position] || one === undefined || other === undefined) continue;
    const [a, b] = [Math.min(one, other), Math.max(one, other)];
    const key = [position, a, b].join();
    found.delete(key);
    if (joins !== null) found.set(key, { position, a, b, read: joins });
  }
  return [...found.values()];
}

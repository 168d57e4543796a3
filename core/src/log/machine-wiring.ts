import type { LoadId, WireId } from '../switch/index.js';
import type { LoadEnd, WireEnd } from './kinds/tag/wire-end.js';
import type { Log } from './log.js';
import { deedsOf, newestOf } from './records.js';

/** Where each wire ends away from the switch; a wire of which nobody has said is not in it. */
export function wireEndsOf(log: Log): Map<WireId, readonly WireEnd[]> {
  const ends = new Map<WireId, readonly WireEnd[]>();
  for (const deed of deedsOf(log, 'wire-ended')) {
    if (deed.ends.length === 0) ends.delete(deed.wire);
    else ends.set(deed.wire, deed.ends);
  }
  return ends;
}

/** Ends of loads that go on without the switch: the newest of each. */
export const loadTiesOf = (log: Log): { load: LoadId; end: LoadEnd; to: WireEnd }[] =>
  newestOf(
    deedsOf(log, 'load-tied').map(({ tie }) => tie),
    ({ load, end }) => `${load} ${end}`,
  ).flatMap(({ to, ...end }) => (to ? [{ ...end, to }] : []));

import type { SwitchMap } from '../../continuity/index.js';
import type { EventId } from '../../switch/index.js';
import { lastCheckedMeter, type JobEvent } from '../../log/index.js';

/** Opens in a row after which one looks whether the meter is still awake (common practice: after a long run of nothing). */
const LONG_RUN = 40;
/** Why the leads have to be held together now. */
export type CheckDue =
  | 'first'
  /** The last check failed. */
  | 'failed'
  /** Another range: its zero is another one. */
  | 'ranged'
  /** Nothing was read for longer than the meter stays on. */
  | 'idle'
  /** Nothing joined for a long run: a meter asleep or a lead off reads the same. */
  | 'opens';

/**
 * Whether the meter has to be checked before the next reading, and why; null when not.
 * @param now ISO time; null: only what does not depend on the clock or on how long a run is.
 */
export function checkDue(map: SwitchMap, now: string | null): CheckDue | null {
  const checks = checksOf(map);
  const last = checks.at(-1);
  if (!last) return 'first';
  if (last.what.kind === 'meter-failed') return 'failed';
  if (last.what.kind === 'meter-ranged')
    return checks.some(({ what }) => what.kind === 'meter-checked') ? 'ranged' : 'first';
  if (now === null) return null;
  const since = readingsAfter(map, last);
  const newest = since.at(-1)?.event ?? last;
  const { autoOffMinutes } = lastCheckedMeter(map.log);
  const idle = (Date.parse(now) - Date.parse(newest.at)) / 60000;
  if (autoOffMinutes !== null && idle >= autoOffMinutes) return 'idle';
  const run = since.length - 1 - since.findLastIndex(({ evidence }) => evidence.says === 'joins');
  return run >= LONG_RUN ? 'opens' : null;
}

function checksOf({ log }: SwitchMap): JobEvent[] {
  return log.ordered.filter(
    ({ id, what }) =>
      (what.kind === 'meter-checked' || what.kind === 'meter-failed' || what.kind === 'meter-ranged') &&
      !log.withdrawn.has(id),
  );
}

function readingsAfter({ log, tape }: SwitchMap, check: JobEvent): SwitchMap['tape'] {
  const after = new Set(log.ordered.slice(log.ordered.indexOf(check) + 1).map(({ id }) => id));
  return tape.filter(({ event, standing }) => standing === 'counts' && after.has(event.id));
}

/** Acts whose readings are doubtful: taken between the last good check and one that failed, and still counting. */
export function doubtfulActs(map: SwitchMap): EventId[] {
  const { log, tape } = map;
  const counting = new Set(tape.flatMap(({ event, standing }) => (standing === 'counts' ? [event.id] : [])));
  const doubtful: EventId[] = [];
  let since: EventId[] = [];
  for (const { id, what } of log.ordered) {
    if (log.withdrawn.has(id)) continue;
    if (what.kind === 'meter-checked') since = [];
    else if (what.kind === 'meter-failed') {
      doubtful.push(...since);
      since = [];
    } else if (counting.has(id)) since.push(id);
  }
  return doubtful;
}

import type { LoadId, SettingId, SupplyId, WireId } from '../switch/index.js';
import type { LoadSeen } from './kinds/judge/load-seen.js';
import type { Conducts, MachinePoint } from './kinds/judge/machine-probed.js';
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

/** What loads were seen to do: the newest of each load and setting. */
export const loadsSeenOf = (log: Log): (LoadSeen & { seen: NonNullable<LoadSeen['seen']> })[] =>
  newestOf(
    deedsOf(log, 'loads-seen').flatMap(({ seen }) => seen),
    ({ setting, load }) => `${setting} ${load}`,
  ).flatMap(({ seen, ...of }) => (seen ? [{ ...of, seen }] : []));

/** Loads and wires that were tried by themselves, whether each conducts; supplies, whether each is there. */
export const partsTriedOf = (log: Log): { part: LoadId | WireId | SupplyId; whole: boolean }[] =>
  newestOf(deedsOf(log, 'part-tried'), ({ part }) => part).flatMap(({ part, whole }) =>
    whole === null ? [] : [{ part, whole }],
  );

/** A place in a machine by a name: the same places have the same. */
const machinePointKey = (point: MachinePoint): string => Object.values(point).join(' ');

/** What was read of the dead machine, wires on. */
export const machineProbedOf = (
  log: Log,
): { setting: SettingId; between: readonly [MachinePoint, MachinePoint]; conducts: Conducts }[] =>
  newestOf(
    deedsOf(log, 'machine-probed'),
    ({ setting, between }) => `${setting} ${between.map(machinePointKey).toSorted().join()}`,
  ).flatMap(({ setting, between, conducts }) => (conducts ? [{ setting, between, conducts }] : []));

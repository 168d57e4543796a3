import {
  pointOfNode,
  readingsOf,
  toldByPath,
  wiredTerminals,
  withTold,
  workedOf,
  type ContactRead,
  type HuntEvidence,
  type PartTried,
  type Probed,
  type Worked,
} from '../circuit/index.js';
import {
  combinationKey,
  type Log,
  pointKey,
  recordsOf,
  systemPartsTriedOf,
  type SystemPoint,
  systemProbedOf,
  systemSeenOf,
} from '../log/index.js';
import type { LoadId, SettingId } from '../switch/index.js';
import { settingOf, type Combination } from './combinations.js';
import { pinsOf, readableOf, terminalKeys, type SystemHandle } from './handles.js';
import type { System } from './system.js';

type Read = ReturnType<typeof readableOf>[number];

/** The combinations in which a handle stands so, each as the one setting that it is: the first. */
function firstWith(
  system: System,
  combinations: readonly Combination[],
  handle: SystemHandle,
): (setting: SettingId) => SettingId[] {
  const at = system.handles.findIndex(({ from }) => from === handle.from);
  return (setting) => {
    const where = combinations.find((one) => one[at] === setting);
    return where ? [settingOf(system, where)] : [];
  };
}

/** A contact of one switch as one of the system. */
const moved = ([a, b]: readonly [number, number], { from }: Read): [number, number] => [a + from, b + from];

function readIn(system: System, combinations: readonly Combination[], handle: Read): ContactRead[] {
  const { map, from, size } = handle;
  const own = wiredTerminals(system.machine)
    .filter((place) => place >= from && place < from + size)
    .map((place) => place - from);
  const whereIs = firstWith(system, combinations, handle);
  return readingsOf(map, own, handle.settings).flatMap(({ setting, contact, joins }) =>
    whereIs(setting).map((at) => ({ setting: at, contact: moved(contact, handle), joins })),
  );
}

function workedIn(system: System, combinations: readonly Combination[], handle: Read): Worked[] {
  const whereIs = firstWith(system, combinations, handle);
  return workedOf(handle.map).flatMap(({ setting, contact, ...how }) =>
    whereIs(setting).map((at) => ({ ...how, setting: at, contact: moved(contact, handle) })),
  );
}

/** The node of a place in a system; undefined where it is not there any more. A wire stands for no place of its own. */
function nodeOf({ machine, sameAs, handles }: System, point: SystemPoint): number | undefined {
  const same = (id: string) => sameAs.get(id) ?? id;
  switch (point.at) {
    case 'supply':
      return machine.supplyNode.get(same(point.supply));
    case 'load':
      return machine.endNode.get(`${same(point.load)} ${point.end}`);
    case 'wire':
      return undefined;
    default: {
      const key = pointKey(point);
      for (const handle of handles) {
        const at = terminalKeys(handle).indexOf(key);
        if (at >= 0) return handle.from + at;
      }
      return undefined;
    }
  }
}

/** The place of a node, as a system writes it down; null where no switch that can be read has it. */
export function systemPointOf({ machine, handles }: System, node: number): SystemPoint | null {
  const handle = handles.find(({ from, size }) => node >= from && node < from + size);
  if (handle?.of === 'device') {
    const pin = pinsOf(handle.device)[node - handle.from];
    return pin ? { at: 'device', device: handle.device.id, pin } : null;
  }
  if (handle) {
    const terminal = handle.map?.structure.terminals[node - handle.from]?.id;
    return terminal ? { at: 'terminal', job: handle.job, terminal } : null;
  }
  const point = pointOfNode(machine, node);
  for (const { job, map } of readableOf(handles)) {
    if (point?.at === 'supply' && recordsOf(map.log, 'supply-named').some(({ id }) => id === point.supply))
      return { ...point, job };
    if (point?.at === 'load' && recordsOf(map.log, 'load-named').some(({ id }) => id === point.load))
      return { ...point, job };
  }
  return null;
}

/** All that was found out about a system, in its own log and in those of its members: nothing is asked twice. */
export function systemEvidence(log: Log, system: System, combinations: readonly Combination[]): HuntEvidence {
  const same = <Id extends string>(id: Id): Id => (system.sameAs.get(id) ?? id) as Id;
  const members = readableOf(system.handles);
  const tried = (list: readonly PartTried[]) => list.map(({ part, whole }) => ({ part: same(part), whole }));
  return {
    seen: systemSeenOf(log).map(({ at, load, seen }) => ({
      setting: combinationKey(at) as SettingId,
      load: same(load) as LoadId,
      seen,
    })),
    read: members.flatMap((handle) => readIn(system, combinations, handle)),
    worked: members.flatMap((handle) => workedIn(system, combinations, handle)),
    tried: withTold(tried(systemPartsTriedOf(log)), tried(members.flatMap(({ map }) => toldByPath(map)))),
    probed: systemProbedOf(log).flatMap(({ at, between, conducts }): Probed[] => {
      const [a, b] = between.map((point) => nodeOf(system, point));
      if (a === undefined || b === undefined) return [];
      return [{ setting: combinationKey(at) as SettingId, between: [a, b], conducts }];
    }),
    joined: [],
  };
}

import { factAt, type SwitchMap } from '../../continuity/index.js';
import {
  deadReadsOf,
  loadsLookedOf,
  type Log,
  partsTriedOf,
  recordsOf,
  standingKey,
} from '../../log/index.js';
import { partsOfLinks, pathVerdict, supplyPathOf } from '../../path/index.js';
import type { LoadId, SettingId, SupplyId } from '../../switch/index.js';
import { wiredTerminals } from '../power/in-setting.js';
import { settingOf, type Combination } from '../standing/combinations.js';
import { readableOf, type SwitchHandle } from '../wiring/handles.js';
import type { Machine } from '../wiring/machine.js';
import { nodeOfPlace } from '../wiring/places.js';
import type { ContactRead, HuntEvidence, WiresJoined, PartTried, Probed, Worked } from './evidence.js';

/** What the map has of wired terminals already, one switch of the machine: only what was read, not what follows from it. */
export function readingsOf(
  map: SwitchMap,
  wired: readonly number[],
  settings: readonly SettingId[],
): ContactRead[] {
  return settings.flatMap((setting) => {
    const settled = map.settings.get(setting)?.settled;
    if (!settled) return [];
    return wired.flatMap((a, at) =>
      wired.slice(at + 1).flatMap((b): ContactRead[] => {
        const { state, joined, byTone } = factAt(settled, a, b);
        const by = byTone ? 'tone' : 'ohms';
        return state === 'measured' ? [{ setting, contact: [a, b], joins: joined === true, by }] : [];
      }),
    );
  });
}

/** Contacts that were worked again and again, by place. */
function workedOf({ log, structure }: Pick<SwitchMap, 'log' | 'structure'>): Worked[] {
  const place = new Map(structure.terminals.map(({ id }, at) => [id, at]));
  return recordsOf(log, 'contact-repeated').flatMap(
    ({ terminals, setting, cycles, misses, sticks, dropOuts }): Worked[] => {
      const [a, b] = terminals.map((id) => place.get(id));
      if (a === undefined || b === undefined) return [];
      const failed = { missed: misses.length + dropOuts, stuck: sticks.length };
      return [{ setting, contact: [a, b], cycles, ...failed }];
    },
  );
}

/** With wires joined instead of the switch: whether all ran. */
const joinedOf = (log: Log): WiresJoined[] =>
  recordsOf(log, 'jumper-tested').map(({ setting, outcome }) => ({ setting, runs: outcome === 'runs' }));

/** What the supply path's own tests say of loads and supplies: whole where all of its links passed, not where one is at fault. */
function toldByPath({ log }: Pick<SwitchMap, 'log'>): PartTried[] {
  const path = supplyPathOf(log);
  // Only what was tested there: what the machine told the path is known here already.
  const { states } = pathVerdict({ ...path, told: [] });
  const parts = new Map<LoadId | SupplyId, string[]>();
  for (const [link, part] of partsOfLinks(log, path.links))
    parts.set(part, [...(parts.get(part) ?? []), states.get(link) ?? 'not-tested']);
  return [...parts].flatMap(([part, all]): PartTried[] => {
    if (all.some((state) => state === 'fail' || state === 'seen' || state === 'unsteady'))
      return [{ part, whole: false }];
    return all.every((state) => state === 'pass') ? [{ part, whole: true }] : [];
  });
}

/** What was tried here, with what others say of what was not tried here. */
const withTold = (tried: readonly PartTried[], told: readonly PartTried[]): PartTried[] => [
  ...tried,
  ...told.filter(({ part }) => !tried.some((one) => one.part === part)),
];

/** What one switch of a machine knows by itself, each setting of it as the first combination in which it stands so. */
class OfHandle {
  readonly #where: (setting: SettingId) => SettingId[];

  constructor(
    private readonly machine: Machine,
    private readonly handle: SwitchHandle,
    combinations: readonly Combination[],
  ) {
    const at = machine.handles.findIndex(({ from }) => from === handle.from);
    this.#where = (setting) => {
      const where = combinations.find((one) => one[at] === setting);
      return where ? [settingOf(machine, where)] : [];
    };
  }

  read(): ContactRead[] {
    const { map, from, size, settings } = this.handle;
    const own = wiredTerminals(this.machine.circuit)
      .filter((place) => place >= from && place < from + size)
      .map((place) => place - from);
    return readingsOf(map, own, settings).flatMap((one) => this.#inMachine(one));
  }

  worked(): Worked[] {
    return workedOf(this.handle.map).flatMap((one) => this.#inMachine(one));
  }

  #inMachine<One extends { setting: SettingId; contact: readonly [number, number] }>(one: One): One[] {
    const { from } = this.handle;
    const [a, b] = one.contact;
    return this.#where(one.setting).map((setting) => ({ ...one, setting, contact: [a + from, b + from] }));
  }
}

/** All that was found out about a machine, in its own log and in those of its switches: nothing is asked twice. */
export function evidenceOf(log: Log, machine: Machine, combinations: readonly Combination[]): HuntEvidence {
  const same = <Id extends string>(id: Id): Id => (machine.sameAs.get(id) ?? id) as Id;
  const switches = readableOf(machine.handles);
  const tried = (list: readonly PartTried[]) => list.map(({ part, whole }) => ({ part: same(part), whole }));
  const each = switches.map((handle) => new OfHandle(machine, handle, combinations));
  const settingAt = (at: Parameters<typeof standingKey>[0]) => standingKey(at) as SettingId;
  return {
    seen: loadsLookedOf(log).map(({ at, load, seen }) => ({
      setting: settingAt(at),
      load: same(load),
      seen,
    })),
    read: each.flatMap((one) => one.read()),
    worked: each.flatMap((one) => one.worked()),
    tried: withTold(tried(partsTriedOf(log)), tried(switches.flatMap(({ map }) => toldByPath(map)))),
    probed: deadReadsOf(log).flatMap(({ at, between, conducts }): Probed[] => {
      const [a, b] = between.map((place) => nodeOfPlace(machine, place));
      if (a === undefined || b === undefined) return [];
      return [{ setting: settingAt(at), between: [a, b], conducts }];
    }),
    joined: joinedOf(log),
  };
}

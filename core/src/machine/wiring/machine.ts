import type { SwitchMap } from '../../continuity/index.js';
import {
  devicesOf,
  type Load,
  type NamedSource,
  loadTiesOf,
  type Log,
  membersOf,
  recordsOf,
  type SettingOfJob,
  type Supply,
  type SystemDevice,
  type SystemPoint,
} from '../../log/index.js';
import type { LoadId, SupplyId, TerminalId } from '../../switch/index.js';
import { halfContacts, halfSaidOf, layNodes, type Circuit } from './circuit.js';
import { handlesOf, readableOf, terminalKeys, type MachineHandle, type Members } from './handles.js';
import { sourcesOf } from './sources.js';
import { Wirer } from './wirer.js';

/** One switch or several, with devices, and what stands around them. */
export interface Machine {
  circuit: Circuit;
  handles: readonly MachineHandle[];
  /** Loads and supplies that several jobs name alike are taken as one: by the id of each, the id of the one that stands for it. */
  sameAs: ReadonlyMap<string, string>;
  /** Wires that end elsewhere, and pins, of which nobody has said what they go to. */
  loose: readonly SystemPoint[];
  /** How switches cannot stand together: an interlock keeps them from it. */
  barred: readonly (readonly SettingOfJob[])[];
}

const plain = (text: string): string => text.trim().toLowerCase();
const supplyKey = ({ name, kind, current, volts }: Supply): string =>
  [plain(name), kind, current, volts].join('|');
const loadKey = ({ name, kind, make }: Load): string => [plain(name), kind, make].join('|');

/**
 * What several jobs name alike as one, and which one stands for which. Within one job each is itself: two batteries of one volts are
 * two, whatever they are called.
 */
function alike<Item extends { id: string }>(
  jobs: readonly (readonly Item[])[],
  keyOf: (item: Item) => string,
): { one: Item[]; sameAs: [string, string][] } {
  const first = new Map<string, Item>();
  const sameAs = jobs.flatMap((items) => {
    const met = new Map<string, number>();
    return items.map((item): [string, string] => {
      const times = met.get(keyOf(item)) ?? 0;
      met.set(keyOf(item), times + 1);
      const key = `${keyOf(item)} ${times}`;
      const stands = first.get(key) ?? item;
      first.set(key, stands);
      return [item.id, stands.id];
    });
  });
  return { one: [...first.values()], sameAs };
}

/** Lays supplies, loads, wires and joins around the handles. `joins`: the log that says what goes from one switch to another. */
function laidAround(handles: readonly MachineHandle[], joins: Log | null): Machine {
  const maps = readableOf(handles).map(({ map }) => map);
  const supplies = alike(
    maps.map((map) => recordsOf(map.log, 'supply-named')),
    supplyKey,
  );
  const loads = alike(
    maps.map((map) => recordsOf(map.log, 'load-named')),
    loadKey,
  );
  const sameAs = new Map([...supplies.sameAs, ...loads.sameAs]);
  const size = handles.reduce((sum, handle) => sum + handle.size, 0);
  const nodes = layNodes(size, supplies.one, loads.one);
  const { leads, open, loose } = new Wirer(joins, handles, nodes, sameAs);
  const capped = maps
    .flatMap((map) => loadTiesOf(map.log))
    .filter(({ to }) => to.at === 'nowhere')
    .map(({ load, end }) => ({ load: (sameAs.get(load) ?? load) as LoadId, end }));
  const circuit: Circuit = {
    ...nodes,
    terminals: handles.flatMap((handle) =>
      handle.of === 'device'
        ? (terminalKeys(handle) as TerminalId[])
        : (handle.map?.structure.terminals ?? []).map(({ id }) => id),
    ),
    supplies: supplies.one,
    sources: sourcesOf(supplies.one, sourcesSaid(maps, joins, sameAs)),
    loads: loads.one.map((load) =>
      load.interlocked
        ? { ...load, interlocked: load.interlocked.map((id) => (sameAs.get(id) ?? id) as LoadId) }
        : load,
    ),
    leads,
    open: new Set([...open, ...halfContacts(loads.one, leads, nodes.endNode, capped)]),
    halfSaid: halfSaidOf(loads.one, leads, nodes.endNode, capped),
    owner: handles.flatMap((handle, at) => Array.from({ length: handle.size }, () => at)),
  };
  const barred = joins ? recordsOf(joins, 'interlock-said').map(({ at }) => at) : [];
  return { circuit, handles, sameAs, loose, barred };
}

/** The sources that the jobs and the log of the machine name, their poles as those that stand for them. */
function sourcesSaid(
  maps: readonly SwitchMap[],
  joins: Log | null,
  sameAs: ReadonlyMap<string, string>,
): NamedSource[] {
  const logs = [...maps.map(({ log }) => log), ...(joins ? [joins] : [])];
  return logs
    .flatMap((log) => recordsOf(log, 'source-named'))
    .map((source) => ({
      ...source,
      poles: [...new Set(source.poles.map((pole) => (sameAs.get(pole) ?? pole) as SupplyId))],
    }));
}

/**
 * The machine of several switches and devices. Supplies of one kind, current, volts and name are one, and so are loads of one name, kind
 * and make. What a wire goes to counts as not known where neither its job nor the log of the machine says it, or where it goes to a
 * switch that cannot be read.
 */
export function machineOf(log: Log, members: Members): Machine {
  const subjects = membersOf(log).map((job) => ({ job, map: members.get(job) ?? null }));
  return laidAround(handlesOf(subjects, devicesOf(log)), log);
}

const NO_DEVICES: readonly SystemDevice[] = [];

/** The machine of one switch, as far as its wires have ends; null while no load has a wire. */
export function machineOfSwitch(map: SwitchMap): Machine | null {
  const machine = laidAround(handlesOf([{ job: null, map }], NO_DEVICES), null);
  const { leads, terminals, supplies } = machine.circuit;
  const feeds = leads.some(({ b, wire }) => wire !== null && b >= terminals.length + supplies.length);
  return feeds ? machine : null;
}

/** What stands around one switch, as current sees it; null while no load has a wire. */
export const circuitOf = (map: SwitchMap): Circuit | null => machineOfSwitch(map)?.circuit ?? null;

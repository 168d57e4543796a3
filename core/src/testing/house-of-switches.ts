import { deriveMap, type SwitchMap } from '../continuity/index.js';
import {
  createWriter,
  newWire,
  readLog,
  type Deed,
  type JobEvent,
  type Load,
  type Log,
  type Supply,
  type SystemDevice,
  type SystemPoint,
  type WireEnd,
} from '../log/index.js';
import { partitionFromGroups } from '../partition/index.js';
import {
  newIdFrom,
  seededRandom,
  type JobId,
  type LoadId,
  type PinnedDeviceId,
  type SupplyId,
  type TerminalId,
  type WireId,
} from '../switch/index.js';
import { machineOf, type Machine, type Members } from '../machine/index.js';
import { bench, mapHidden } from './generated.js';

/** A switch of a house: its contacts by setting (`1-2 3-4`), and where its wires go: `1>L 2>up.2 3>lamp.1 4>?`. */
export interface HouseSwitch {
  size: number;
  settings: readonly string[];
  wires: string;
  /** What it should do, where that is not what it does. */
  should?: readonly string[];
  /** It was never mapped. */
  unmapped?: boolean;
}

/** Switches, devices and loads as a textbook draws them. A lamp's other end, where no wire of a switch takes it, goes to N. */
export interface House {
  switches: Record<string, HouseSwitch>;
  devices?: Record<string, Pick<SystemDevice, 'kind' | 'contact'> & { pins: string }>;
  loads: Record<string, Partial<Load>>;
}

export interface Built {
  log: Log;
  members: Map<JobId, SwitchMap | null>;
  machine: Machine;
  jobs: Record<string, JobId>;
  loads: Record<string, LoadId>;
}

/** Builds the jobs of a house and its machine, each mapped by the planner's own readings. */
export function builtHouse({ switches, devices = {}, loads }: House, without: readonly string[] = []): Built {
  const newId = newIdFrom(seededRandom(77));
  const ids = <Id extends string>(names: string[]) =>
    Object.fromEntries(names.map((name) => [name, newId<Id>()])) as Record<string, Id>;
  const jobs = ids<JobId>(Object.keys(switches));
  const loadIds = ids<LoadId>(Object.keys(loads));
  const deviceIds = ids<PinnedDeviceId>(Object.keys(devices));
  const supplies: Supply[] = (['L', 'N'] as const).map((kind) => ({
    id: newId<SupplyId>(),
    name: kind,
    kind,
    volts: kind === 'L' ? 230 : null,
    current: 'AC',
    removed: false,
  }));
  const ground = { loadIds, supplies };
  const deeds: Deed[] = Object.values(jobs).map((job) => ({ kind: 'system-member', job, belongs: true }));
  const members: [JobId, SwitchMap | null][] = [];
  const lugs = new Map<string, SystemPoint>();
  const wires: { name: string; job: JobId; wire: WireId; to: string }[] = [];
  let seed = 1;
  for (const [name, one] of Object.entries(switches)) {
    const job = jobs[name] as JobId;
    const on = bench(one.size, one.settings.length, (seed += 1));
    on.terminals.forEach((terminal, at) => lugs.set(`${name}.${at + 1}`, { at: 'terminal', job, terminal }));
    wires.push(...tagWires(on, one, ground).map((wire) => ({ ...wire, name, job })));
    nameLoads(on, loads, ground, Object.keys(switches).indexOf(name) === 0);
    mapOne(on, one);
    members.push([job, without.includes(name) ? null : deriveMap(on.events)]);
  }
  for (const [name, { kind, contact, pins }] of Object.entries(devices)) {
    const device = deviceIds[name] as PinnedDeviceId;
    deeds.push({ kind: 'system-device', device: { id: device, name, kind, contact, removed: false } });
    for (const pin of ['C', '1', '2'] as const) lugs.set(`${name}.${pin}`, { at: 'device', device, pin });
    for (const [pin, to] of pins.split(' ').map((one) => one.split('>') as [string, string]))
      deeds.push({ kind: 'system-joined', from: lugs.get(`${name}.${pin}`) as SystemPoint, to: point(to) });
  }
  function point(to: string): SystemPoint {
    const lug = lugs.get(to);
    if (lug) return lug;
    const job = Object.values(jobs)[0] as JobId;
    const supply = supplies.find(({ kind }) => kind === to);
    if (supply) return { at: 'supply', job, supply: supply.id };
    const [load, end] = to.split('.');
    return { at: 'load', job, load: loadIds[load ?? ''] as LoadId, end: end as '1' };
  }
  for (const { job, wire, to } of wires)
    if (lugs.has(to)) deeds.push({ kind: 'system-joined', from: { at: 'wire', job, wire }, to: point(to) });
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const events = deeds.reduce<JobEvent[]>((all, deed) => [...all, writer.write(all, deed)], []);
  const log = readLog(events);
  return {
    log,
    members: new Map(members),
    machine: machineOf(log, new Map(members) as Members),
    jobs,
    loads: loadIds,
  };
}

/** Says what a switch should do, where that is another thing than what it does, and maps it. */
function mapOne(on: ReturnType<typeof bench>, one: HouseSwitch): void {
  const patternOf = (settings: readonly string[]) =>
    settings.map((joins) => partitionFromGroups(one.size, groupsOf(joins)));
  if (one.should)
    on.add({
      kind: 'expected',
      table: {
        source: 'typed',
        note: '',
        settings: on.settings.map((setting, at) => ({
          setting,
          unsaid: [],
          joined: groupsOf(one.should?.[at] ?? '').map((net) =>
            net.map((place) => on.terminals[place] as TerminalId),
          ),
        })),
      },
    } as unknown as Deed);
  if (!one.unmapped) mapHidden(patternOf(one.settings), on);
}

const groupsOf = (joins: string): number[][] =>
  joins
    .split(' ')
    .filter(Boolean)
    .map((net) => net.split('-').map((label) => Number(label) - 1));

interface Ground {
  loadIds: Record<string, LoadId>;
  supplies: readonly Supply[];
}

/** Tags the wires of a switch and says where they end; those that go to another switch are told. */
function tagWires(
  on: ReturnType<typeof bench>,
  { wires }: HouseSwitch,
  { loadIds, supplies }: Ground,
): { wire: WireId; to: string }[] {
  for (const supply of supplies) on.add({ kind: 'supply-named', supply });
  return wires.split(' ').map((one, at) => {
    const [lug, to = '?'] = one.split('>');
    const wire = {
      ...newWire(String(at + 1), on.newId),
      terminal: on.terminals[Number(lug) - 1] as TerminalId,
    };
    on.add({ kind: 'wire-tagged', wire });
    const [load, end] = to.split('.');
    const supply = supplies.find(({ kind }) => kind === to);
    const far: WireEnd = supply
      ? { at: 'supply', supply: supply.id }
      : load && loadIds[load]
        ? { at: 'load', load: loadIds[load], end: end as '1' }
        : { at: 'elsewhere' };
    if (to !== '?') on.add({ kind: 'wire-ended', wire: wire.id, ends: [far] });
    return { wire: wire.id, to };
  });
}

function nameLoads(
  on: ReturnType<typeof bench>,
  loads: House['loads'],
  { loadIds, supplies }: Ground,
  first: boolean,
): void {
  for (const [name, more] of Object.entries(loads)) {
    const load: Load = {
      id: loadIds[name] as LoadId,
      name,
      kind: 'lamp',
      amps: null,
      watts: 60,
      volts: 230,
      current: 'AC',
      removed: false,
      ...more,
    };
    on.add({ kind: 'load-named', load });
    const neutral = supplies.find(({ kind }) => kind === 'N');
    if (first && neutral && !more.make)
      on.add({
        kind: 'load-tied',
        tie: { load: load.id, end: '2', to: { at: 'supply', supply: neutral.id } },
      });
  }
}

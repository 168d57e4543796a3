import type { Load, LoadEnd, Supply } from '../../log/index.js';
import { partitionOf, type Partition } from '../../partition/index.js';
import type { LoadId, SupplyId } from '../../switch/index.js';
import { loadState, NOT_KNOWN, type LoadState } from './load-state.js';
import { endKey, siemensOf, windingsOf, type Circuit } from '../wiring/circuit.js';
import { netVoltages, type Conductance } from './nodal.js';
import { phasor, sizeOf, ZERO, type Phasor } from './phasor.js';

/** What the machine does with certain contacts closed. */
export interface Powered {
  loads: Map<LoadId, LoadState>;
  /** Potentials that meet: each list is one short, or an earth that carries current. */
  shorts: SupplyId[][];
  /**
   * Live potentials of one kind that meet, each named by itself: two batteries, grid and generator, or two fuses of one source. Nothing says
   * which, so nothing says that it is safe.
   */
  joined: SupplyId[][];
  /** Nets by node, and which of them are live. */
  nets: Partition;
  live: ReadonlySet<number>;
}

/** A fault of the machine besides its contacts, for a trial. */
export interface MachineFault {
  /** Loads that are burnt out. */
  dead?: ReadonlySet<LoadId>;
  /** Supplies that are missing. */
  missing?: ReadonlySet<SupplyId>;
  /** Leads that are off, by their place. */
  off?: ReadonlySet<number>;
}

/** What stands for volts that nobody has said: then only shares are meant, no figures. */
const ONE_VOLT = 1;
/** What stands for a load of unknown power; each a little otherwise, so that no two balance by chance. */
const unsaidSiemens = (at: number): number => 0.01 * (1 + 0.037 * at);

/** Volts of a supply against its return, with its phase. */
function voltsOf({ kind, volts }: Supply, figures: boolean): Phasor {
  const size = figures ? (volts ?? ONE_VOLT) : ONE_VOLT;
  switch (kind) {
    case 'L':
    case 'L1':
    case '+':
      return phasor(size);
    case 'L2':
      return phasor(size, -120);
    case 'L3':
      return phasor(size, 120);
    case 'N':
    case '0':
    case 'earth':
      return ZERO;
  }
}

const isReturn = ({ kind }: Supply): boolean => kind === 'N' || kind === '0' || kind === 'earth';
const isLive = (supply: Supply): boolean => !isReturn(supply);

/** What every load does while these terminals join: pairs of places. */
export function powered(
  circuit: Circuit,
  joins: readonly (readonly [number, number])[],
  fault: MachineFault = {},
): Powered {
  const { supplies, loads, leads, nodes } = circuit;
  const live = supplies.filter((supply) => !isReturn(supply));
  const figures = live.every(({ volts }) => volts !== null);
  const nets = partitionOf(nodes, [
    ...joins,
    ...leads.filter((_, at) => !fault.off?.has(at)).map(({ a, b }): [number, number] => [a, b]),
  ]);
  const netOfSupply = ({ id }: Supply) => nets[circuit.supplyNode.get(id) as number] as number;
  const present = supplies.filter(({ id }) => !fault.missing?.has(id));
  const { shorts, joined, tripped } = shortsOf(present, netOfSupply);
  const states = new Map<LoadId, LoadState>();
  const liveNets = new Set<number>();
  for (const current of ['AC', 'DC'] as const) {
    // Nothing is fed by it, and nothing waits for it.
    if (![...live, ...loads].some((one) => one.current === current)) continue;
    const volts = netsInPass(present, tripped, current, netOfSupply, figures);
    const highest = Math.max(0, ...[...volts.values()].map(sizeOf));
    const all = netVoltages(volts, conductancesOf(circuit, nets, fault));
    for (const [net, at] of all) if (sizeOf(at) > 0.05 * highest) liveNets.add(net);
    loads.forEach((load) => {
      if (load.current !== current) return;
      const net = (end: LoadEnd) => nets[circuit.endNode.get(endKey(load.id, end)) as number] as number;
      const fed = { net, volts: (end: LoadEnd) => all.get(net(end)) ?? null };
      const dead = fault.dead?.has(load.id) === true;
      const state = isOpen(circuit, nets, load, volts)
        ? NOT_KNOWN
        : loadState(load, fed, ratedVolts(load, supplies, figures), highest, figures);
      states.set(load.id, dead ? deadState(state, load) : state);
    });
  }
  return { loads: states, shorts, joined, nets, live: liveNets };
}

/** A burnt-out load takes nothing, whatever it is fed with. */
const deadState = (state: LoadState, { watts }: Load): LoadState =>
  state.does === 'not-known' ? state : { does: 'off', share: 0, watts: watts === null ? null : 0 };

/** Potentials that meet; what is live of them trips. */
function shortsOf(
  supplies: readonly Supply[],
  netOf: (supply: Supply) => number,
): Pick<Powered, 'shorts' | 'joined'> & { tripped: Set<SupplyId> } {
  const groups = new Map<number, Supply[]>();
  for (const supply of supplies) groups.set(netOf(supply), [...(groups.get(netOf(supply)) ?? []), supply]);
  const all = [...groups.values()];
  const met = all.filter((group) => new Set(group.map(({ kind }) => kind)).size > 1 || differ(group));
  const ids = (group: readonly Supply[]) => group.map(({ id }) => id);
  const doubtful = all.filter((group) => !met.includes(group) && group.filter(isLive).length > 1);
  return {
    shorts: met.map(ids),
    joined: doubtful.map(ids),
    tripped: new Set(met.flatMap((group) => group.filter((one) => !isReturn(one)).map(({ id }) => id))),
  };
}

/** Whether live potentials of one kind have volts that differ by more than the tolerance of a supply, a tenth (IEC 60038, from memory). */
function differ(group: readonly Supply[]): boolean {
  const volts = group.filter(isLive).flatMap((one) => one.volts ?? []);
  return volts.length > 1 && Math.max(...volts) > 1.1 * Math.min(...volts);
}

/** Voltages of the nets that hold a potential of this sort of current; a return holds both. */
function netsInPass(
  supplies: readonly Supply[],
  tripped: ReadonlySet<SupplyId>,
  current: Supply['current'],
  netOf: (supply: Supply) => number,
  figures: boolean,
): Map<number, Phasor> {
  const volts = new Map<number, Phasor>();
  for (const supply of supplies)
    if (isReturn(supply)) volts.set(netOf(supply), ZERO);
    else if (supply.current === current && !tripped.has(supply.id))
      volts.set(netOf(supply), voltsOf(supply, figures));
  return volts;
}

function conductancesOf({ loads, endNode }: Circuit, nets: Partition, { dead }: MachineFault): Conductance[] {
  return loads.flatMap((load, at) => {
    if (dead?.has(load.id)) return [];
    const siemens = siemensOf(load) ?? unsaidSiemens(at);
    const net = (end: LoadEnd) => nets[endNode.get(endKey(load.id, end)) as number] as number;
    return windingsOf(load).map(([a, b]) => ({ a: net(a), b: net(b), siemens }));
  });
}

/** Volts across a winding of a load at full power: as said, else the highest that its sort of supplies can give. */
function ratedVolts(load: Load, supplies: readonly Supply[], figures: boolean): number {
  if (figures && load.volts !== null) return load.volts;
  const all = supplies
    .filter((supply) => isReturn(supply) || supply.current === load.current)
    .map((supply) => voltsOf(supply, figures));
  const most = Math.max(
    0,
    ...all.flatMap((a) => all.map((b) => sizeOf({ re: a.re - b.re, im: a.im - b.im }))),
  );
  return most || ONE_VOLT;
}

/**
 * Whether what a load does hangs on a wire whose end nobody has said: such a wire on a net that no supply holds may bring anything.
 */
function isOpen(
  { open, halfSaid, endNode, loads }: Circuit,
  nets: Partition,
  load: Load,
  held: ReadonlyMap<number, Phasor>,
): boolean {
  if (halfSaid.has(load.id)) return true;
  const openNets = new Set([...open].map((place) => nets[place] as number).filter((net) => !held.has(net)));
  if (openNets.size === 0) return false;
  // Loads that hang together through nets that nothing holds share that doubt.
  const netsOf = (one: Load) =>
    windingsOf(one)
      .flat()
      .map((end) => nets[endNode.get(endKey(one.id, end)) as number] as number);
  const reached = new Set(netsOf(load).filter((net) => !held.has(net)));
  for (let grown = true; grown;) {
    grown = false;
    for (const other of loads) {
      const there = netsOf(other);
      if (!there.some((net) => reached.has(net))) continue;
      for (const net of there)
        if (!held.has(net) && !reached.has(net)) {
          reached.add(net);
          grown = true;
        }
    }
  }
  return [...reached].some((net) => openNets.has(net));
}

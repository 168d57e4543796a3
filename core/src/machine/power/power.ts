import type { Load, LoadEnd, Supply } from '../../log/index.js';
import { partitionOf, type Partition } from '../../partition/index.js';
import type { LoadId, SupplyId } from '../../switch/index.js';
import { loadState, NOT_KNOWN, signalState, type LoadState } from './load-state.js';
import { endKey, siemensOf, windingNodes, type Circuit } from '../wiring/circuit.js';
import { isReturn, Shares } from '../wiring/sources.js';
import { meetingsOf, type Meeting } from './meeting.js';
import { netVoltages, type Conductance } from './nodal.js';
import { isSignal, signalsIn } from './signals.js';
import { phasor, sizeOf, ZERO, type Phasor } from './phasor.js';

/** What the machine does with certain contacts closed. */
export interface Powered {
  loads: Map<LoadId, LoadState>;
  /** Potentials that lie in one net, by what that comes to. */
  meetings: Meeting[];
  /** Nets by node, and which of them are live. */
  nets: Partition;
  live: ReadonlySet<number>;
  /** Of live nets, what lies on them; of each loop that reaches one. */
  potentials: ReadonlyMap<number, readonly Potential[]>;
}

/** What a live net is at against its return; volts null where nobody has said those of its source. */
export interface Potential {
  current: Supply['current'];
  volts: number | null;
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

/** What every load does while these nodes join, the contacts of coils as they are given among them. */
export function poweredOnce(
  circuit: Circuit,
  joins: readonly (readonly [number, number])[],
  fault: MachineFault = {},
): Powered {
  const { supplies, leads, nodes } = circuit;
  const nets = partitionOf(nodes, [
    ...joins,
    ...leads.filter((_, at) => !fault.off?.has(at)).map(({ a, b }): [number, number] => [a, b]),
  ]);
  const netOf = ({ id }: Supply) => nets[circuit.supplyNode.get(id) as number] as number;
  const present = supplies.filter(({ id }) => !fault.missing?.has(id));
  const { meetings, tripped } = meetingsOf(present, netOf, worked(circuit).shares);
  const conductances = conductancesOf(circuit, nets, fault);
  const figures = supplies.every((supply) => isReturn(supply) || supply.volts !== null);
  const passes = worked(circuit).loops.map((loop): Pass => {
    const held = heldIn(loop, present, tripped, netOf, figures);
    const volts = netVoltages(held, conductances);
    return { loop, held, volts, highest: Math.max(0, ...[...held.values()].map(sizeOf)) };
  });
  const potentials = new Map<number, Potential[]>();
  for (const pass of passes)
    for (const [net, at] of pass.volts)
      if (sizeOf(at) > 0.05 * pass.highest)
        potentials.set(net, [...(potentials.get(net) ?? []), potentialIn(pass, sizeOf(at), figures)]);
  const signals = signalsIn(circuit, nets, fault.dead);
  const loads = new Map(
    circuit.loads.map((load): [LoadId, LoadState] => {
      const signal = signals.get(load.id);
      const state =
        signal === undefined ? stateIn({ circuit, nets, passes, figures }, load) : signalState(signal);
      return [load.id, fault.dead?.has(load.id) ? deadState(state, load) : state];
    }),
  );
  return { loads, meetings, nets, live: new Set(potentials.keys()), potentials };
}

/** What a net of a loop is at; where not all volts of the machine are said, those of this loop by the share that it has. */
function potentialIn({ loop: { current, poles } }: Pass, size: number, figures: boolean): Potential {
  const fed = poles.filter((pole) => !isReturn(pole));
  if (figures) return { current, volts: size };
  const said = fed.every(({ volts }) => volts !== null);
  return { current, volts: said ? size * Math.max(...fed.map(({ volts }) => volts ?? 0)) : null };
}

/** What is solved by itself: the poles of sources that share a reference, of one sort of current. */
interface Loop {
  current: Supply['current'];
  poles: readonly Supply[];
}

/** A loop as it is fed: nets that a potential holds, and what comes of it everywhere. */
interface Pass {
  loop: Loop;
  held: ReadonlyMap<number, Phasor>;
  volts: ReadonlyMap<number, Phasor>;
  highest: number;
}

const kept = new WeakMap<Circuit, { shares: Shares; loops: Loop[] }>();

/** Kept by circuit, which never changes. */
function worked(circuit: Circuit): { shares: Shares; loops: Loop[] } {
  const known = kept.get(circuit);
  if (known) return known;
  const shares = new Shares(circuit.sources, circuit.supplies);
  const made = { shares, loops: madeLoops(circuit, shares) };
  kept.set(circuit, made);
  return made;
}

function madeLoops({ supplies }: Circuit, shares: Shares): Loop[] {
  const loops = new Map<string, { current: Supply['current']; of: number | null }>();
  for (const supply of supplies)
    if (!isReturn(supply)) {
      const of = shares.loopOf(supply.id);
      loops.set(`${supply.current} ${of}`, { current: supply.current, of });
    }
  return [...loops.values()].map(({ current, of }) => ({
    current,
    poles: supplies.filter(
      (supply) => shares.loopOf(supply.id) === of && (isReturn(supply) || supply.current === current),
    ),
  }));
}

interface Fed {
  circuit: Circuit;
  nets: Partition;
  passes: readonly Pass[];
  figures: boolean;
}

/** What a load does: in each loop by itself, and of those the most. */
function stateIn({ circuit, nets, passes, figures }: Fed, load: Load): LoadState {
  const held = new Set(passes.flatMap((pass) => [...pass.held.keys()]));
  if (isOpen(circuit, nets, load, held)) return NOT_KNOWN;
  const net = (end: LoadEnd) => nets[circuit.endNode.get(endKey(load.id, end)) as number] as number;
  // Only asked where a load takes a part of its power.
  const isKnown = () => figures && sharesKnown(circuit, nets, load, held);
  const states = passes.map(({ loop, volts, highest }) => {
    const fed = { net, volts: (end: LoadEnd) => volts.get(net(end)) ?? null };
    const rated = ratedVolts(load, loop, figures);
    const state = loadState(load, fed, { rated, highest, figures, current: loop.current });
    // A share that rests on what stands for an unknown figure is none.
    return state.does === 'part' && !isKnown() ? { ...state, share: null, watts: null } : state;
  });
  const [first, ...others] = states.toSorted((one, other) => rankOf(other) - rankOf(one));
  if (first)
    return others.some(({ does }) => does === 'not-known') && rankOf(first) === 0 ? NOT_KNOWN : first;
  const dead = { net, volts: () => null };
  return loadState(load, dead, { rated: ONE_VOLT, highest: 0, figures, current: load.current });
}

/** What takes more says more than what takes nothing; what stays live or is braked more than what is merely off. */
function rankOf({ does, share }: LoadState): number {
  if (does === 'not-known') return 0.5;
  if (does === 'off') return 0;
  return does === 'floating' ? 0.1 : does === 'braked' ? 0.2 : 1 + (share ?? 0);
}

/** A burnt-out load takes nothing, whatever it is fed with. */
const deadState = (state: LoadState, { watts }: Load): LoadState =>
  state.does === 'not-known' ? state : { does: 'off', share: 0, watts: watts === null ? null : 0 };

/** Voltages of the nets that a pole of this loop holds; what tripped holds nothing. */
function heldIn(
  { poles }: Loop,
  present: readonly Supply[],
  tripped: ReadonlySet<SupplyId>,
  netOf: (supply: Supply) => number,
  figures: boolean,
): Map<number, Phasor> {
  const volts = new Map<number, Phasor>();
  const here = poles.filter((pole) => present.includes(pole) && !tripped.has(pole.id));
  for (const pole of here.filter((one) => !isReturn(one))) volts.set(netOf(pole), voltsOf(pole, figures));
  for (const pole of here.filter(isReturn)) volts.set(netOf(pole), ZERO);
  return volts;
}

function conductancesOf(circuit: Circuit, nets: Partition, { dead }: MachineFault): Conductance[] {
  return circuit.loads.flatMap((load, at) => {
    if (dead?.has(load.id) || isSignal(load)) return [];
    const siemens = siemensOf(load) ?? unsaidSiemens(at);
    return windingNodes(circuit, load).map(([a, b]) => ({
      ...{ a: nets[a] as number, b: nets[b] as number, siemens },
    }));
  });
}

/** Volts across a winding of a load at full power: as said, else the highest that its loop can give. */
function ratedVolts(load: Load, { poles }: Loop, figures: boolean): number {
  if (figures && load.volts !== null) return load.volts;
  const all = poles.map((supply) => voltsOf(supply, figures));
  const most = Math.max(
    0,
    ...all.flatMap((a) => all.map((b) => sizeOf({ re: a.re - b.re, im: a.im - b.im }))),
  );
  return most || ONE_VOLT;
}

/**
 * Whether what a load does hangs on a wire whose end nobody has said: such a wire on a net that no supply holds may bring anything.
 */
function isOpen(circuit: Circuit, nets: Partition, load: Load, held: ReadonlySet<number>): boolean {
  if (circuit.halfSaid.has(load.id)) return true;
  const openNets = new Set(
    [...circuit.open].map((place) => nets[place] as number).filter((net) => !held.has(net)),
  );
  if (openNets.size === 0) return false;
  // Loads that hang together through nets that nothing holds share that doubt.
  const together = hangingWith(circuit, nets, load, held);
  return [...together.nets].some((net) => openNets.has(net));
}

/** Whether the share that a load takes rests on figures that somebody said: its own volts, and the power of all that it hangs together with. */
function sharesKnown(circuit: Circuit, nets: Partition, load: Load, held: ReadonlySet<number>): boolean {
  if (load.volts === null) return false;
  const { loads, nets: between } = hangingWith(circuit, nets, load, held);
  // The windings of one load are alike: how they share does not hang on their power.
  return between.size === 0 || loads.size === 1 || [...loads].every((one) => siemensOf(one) !== null);
}

/** A load with those that hang together with it through nets that nothing holds, and those nets. */
function hangingWith(
  circuit: Circuit,
  nets: Partition,
  load: Load,
  held: ReadonlySet<number>,
): { loads: Set<Load>; nets: Set<number> } {
  const netsOf = (one: Load) =>
    windingNodes(circuit, one)
      .flat()
      .map((node) => nets[node] as number);
  const reached = new Set(netsOf(load).filter((net) => !held.has(net)));
  const together = new Set([load]);
  for (let grown = true; grown;) {
    grown = false;
    for (const other of circuit.loads) {
      if (together.has(other)) continue;
      const there = netsOf(other);
      if (!there.some((net) => reached.has(net))) continue;
      together.add(other);
      grown = true;
      for (const net of there) if (!held.has(net)) reached.add(net);
    }
  }
  return { loads: together, nets: reached };
}

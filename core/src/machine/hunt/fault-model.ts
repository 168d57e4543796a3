import { partitionOf } from '../../partition/index.js';
import type { Conducts } from '../../log/index.js';
import type { LoadId, SettingId, SupplyId, WireId } from '../../switch/index.js';
import type { LoadDoes, LoadState } from '../power/load-state.js';
import { powered } from '../power/settled.js';
import type { Circuit } from '../wiring/circuit.js';
import { conductionWith, conductsBetween, joinsWith, machineWith } from './conduction.js';
import { contactsInMachine, singleFaults, wiresIn, type Fault } from './fault.js';
import type { Healthy } from './healthy-setting.js';
import { lookKey, seenOf, type Seen } from './seen.js';

/** A fault with all that would be found out with it. */
export interface ModelledFault {
  fault: Fault;
  /** By setting and load, what would be seen. */
  shows: ReadonlyMap<string, Seen>;
  /** Whether a contact joins in a setting, its terminals freed. */
  joins: (setting: SettingId, contact: readonly [number, number]) => boolean;
  /** What is read between two nodes of the dead machine, wires on; undefined: it cannot be said. */
  conducts: (setting: SettingId, a: number, b: number) => Conducts | undefined;
  /** Whether a load or a wire conducts from end to end, whether a supply is there. */
  whole: (part: LoadId | WireId | SupplyId) => boolean;
}

/** A machine with every single fault, worked out once. */
export interface FaultModel {
  circuit: Circuit;
  settings: readonly Healthy[];
  healthy: ReadonlyMap<string, Seen>;
  /** None first. */
  faults: readonly ModelledFault[];
  contacts: readonly (readonly [number, number])[];
  wires: readonly WireId[];
  /** Nodes where a probe can lie in the machine: whatever a lead goes to. */
  reached: readonly number[];
}

/** What a load does for certain; undefined where that is not known, or hangs on what came before. */
const surely = (state: LoadState | undefined): LoadDoes | undefined =>
  !state || state.held || state.does === 'not-known' || state.does === 'chatters' ? undefined : state.does;

/** What would be seen with a fault, by setting and load; a load of which nothing can be said is left out. */
function faultShows(circuit: Circuit, settings: readonly Healthy[], fault: Fault): Map<string, Seen> {
  const shows = new Map<string, Seen>();
  const faulty = machineWith(circuit, fault);
  for (const { setting, nets } of settings) {
    const healthy = powered(circuit, joinsWith(nets, { kind: 'none' }));
    const now = powered(faulty.circuit, joinsWith(nets, fault), faulty.fault);
    for (const { id } of circuit.loads) {
      const [should, does] = [healthy, now].map(({ loads }) => surely(loads.get(id)));
      if (!should || !does) continue;
      const seen = seenOf(does, should);
      // A contact of high resistance lets what runs through it run weakly.
      const weak = fault.kind === 'high' && seen === 'off' && seenOf(should, should) !== 'off';
      shows.set(lookKey(setting, id), weak ? 'weak' : seen);
    }
  }
  return shows;
}

/** What is wrong by a fault is not whole. */
function isOf(fault: Fault, part: LoadId | WireId | SupplyId): boolean {
  switch (fault.kind) {
    case 'load-open':
      return fault.load === part;
    case 'wire-off':
      return fault.wire === part;
    case 'supply-missing':
      return fault.supply === part;
    default:
      return false;
  }
}

/** A fault with all that it would show, worked out when it is asked for. */
function modelled(circuit: Circuit, settings: readonly Healthy[], fault: Fault): ModelledFault {
  const joined = new Map(
    settings.map(({ setting, nets }) => [setting, partitionOf(nets.length, joinsWith(nets, fault))] as const),
  );
  const healthy = new Map(settings.map(({ setting, nets }) => [setting, nets]));
  const conduction = new Map<SettingId, ReturnType<typeof conductionWith>>();
  const conductionAt = (setting: SettingId) => {
    const kept = conduction.get(setting);
    if (kept) return kept;
    const made = conductionWith(circuit, healthy.get(setting) ?? [], fault);
    conduction.set(setting, made);
    return made;
  };
  let shows: ModelledFault['shows'] | undefined;
  return {
    fault,
    // The screen names faults and never asks what they show: that is the ranking's, beside it.
    get shows() {
      return (shows ??= faultShows(circuit, settings, fault));
    },
    joins: (setting, [a, b]) => joined.get(setting)?.[a] === joined.get(setting)?.[b],
    conducts: (setting, a, b) =>
      healthy.has(setting) ? conductsBetween(conductionAt(setting), a, b) : undefined,
    whole: (part) => !isOf(fault, part),
  };
}

/** Works out what would be found with every single fault. */
export function faultModel(circuit: Circuit, settings: readonly Healthy[]): FaultModel {
  return {
    circuit,
    settings,
    faults: singleFaults(circuit, settings).map((fault) => modelled(circuit, settings, fault)),
    healthy: faultShows(circuit, settings, { kind: 'none' }),
    contacts: contactsInMachine(circuit, settings),
    wires: wiresIn(circuit),
    reached: [...new Set(circuit.leads.flatMap(({ a, b }) => [a, b]))].toSorted((a, b) => a - b),
  };
}

import type { LoadId, SettingId, SupplyId } from '../../switch/index.js';
import { joinsOf, standsOf, type ContactsAt } from './contacts.js';
import { NOT_KNOWN, besideKey, type LoadState } from './load-state.js';
import type { Meeting } from './meeting.js';
import type { Circuit } from '../wiring/circuit.js';
import type { MachineFault, Powered } from './power.js';
import { powered } from './settled.js';

/** Potentials that meet, or may where not all contacts are known. */
export interface Met extends Meeting {
  certain: boolean;
}

/** What the machine does in one setting of the switch. */
export interface InSetting {
  setting: SettingId;
  /** What each load does; `not-known` wherever two ways in which the contacts may stand differ. */
  loads: ReadonlyMap<LoadId, LoadState>;
  /** Potentials that meet for certain, and those that may. */
  shorts: SupplyId[][];
  maybeShorts: SupplyId[][];
  /** What else meets, or may. */
  met: Met[];
  /** Watts of all loads; null where that of one is not known. */
  watts: number | null;
  /** One way in which the contacts stand, to be drawn: the joins that are known. */
  known: Powered;
}

const wired = new WeakMap<Circuit, number[]>();

/** Terminals of the machine that a wire or its open end touches: only their contacts matter. Kept by machine, which never changes. */
export function wiredTerminals(circuit: Circuit): number[] {
  const kept = wired.get(circuit);
  if (kept) return kept;
  const { leads, open, terminals } = circuit;
  const touched = leads.flatMap(({ a, b }) => [a, b]).filter((node) => node < terminals.length);
  const lugs = [...open].filter((node) => node < terminals.length);
  const found = [...new Set([...touched, ...lugs])];
  wired.set(circuit, found);
  return found;
}

const sameState = (one: LoadState, other: LoadState): boolean =>
  one.does === other.does &&
  Math.abs((one.share ?? 0) - (other.share ?? 0)) < 1e-6 &&
  besideKey(one) === besideKey(other);

/** What the machine does with contacts of which some may not be known. */
export function inSetting(
  circuit: Circuit,
  setting: SettingId,
  contacts: ContactsAt,
  fault: MachineFault = {},
): InSetting {
  const stands = standsOf(contacts, wiredTerminals(circuit));
  const all = stands?.map((stand) => powered(circuit, joinsOf(stand), fault)) ?? [];
  // Where all is known there is one stand, and it is what the contacts join.
  const [only] = all.length === 1 ? all : [];
  const known = only ?? powered(circuit, joinsOf(contacts.nets), fault);
  const loads = new Map(
    circuit.loads.map(({ id }): [LoadId, LoadState] => {
      const [first, ...others] = all.map((one) => one.loads.get(id) ?? NOT_KNOWN);
      return [id, first && others.every((one) => sameState(one, first)) ? first : NOT_KNOWN];
    }),
  );
  const key = ({ how, supplies }: Meeting) => `${how} ${supplies.toSorted().join()}`;
  const every = new Map(all.flatMap(({ meetings }) => meetings.map((one) => [key(one), one] as const)));
  const met = [...every].map(([name, one]): Met => ({
    ...one,
    certain: all.every(({ meetings }) => meetings.some((other) => key(other) === name && !other.perhaps)),
  }));
  const shorts = met.filter(({ how }) => how === 'short');
  const suppliesOf = (list: readonly Met[]) => list.map(({ supplies }) => supplies);
  const watts = [...loads.values()].reduce<number | null>(
    (sum, one) => (sum === null || one.watts === null ? null : sum + one.watts),
    0,
  );
  return {
    setting,
    loads,
    watts,
    known,
    met: met.filter(({ how }) => how !== 'short'),
    shorts: suppliesOf(shorts.filter(({ certain }) => certain)),
    maybeShorts: suppliesOf(shorts.filter(({ certain }) => !certain)),
  };
}

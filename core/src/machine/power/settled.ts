import type { Load } from '../../log/index.js';
import type { LoadId } from '../../switch/index.js';
import { endKey, type Circuit } from '../wiring/circuit.js';
import { contactsOfCoil } from '../wiring/coils.js';
import { NOT_KNOWN, besideKey, type LoadDoes, type LoadState } from './load-state.js';
import type { Meeting } from './meeting.js';
import { poweredOnce, type MachineFault, type Powered } from './power.js';

// Relays and contactors whose own contacts lie in the circuit. A way in which they may stand is a set of coils that are pulled in, one
// bit a coil; they settle where no coil wants to move. What is fed at first settles from all at rest; another way in which they may
// stand for good is what a coil holds that was pulled in before.

/** Shares of the rated power (85, 75 and 20 % of the volts: IEC 60947-4-1, from memory). */
const [PULLS_IN, STAYS_IN, DROPS_OUT] = [0.85 ** 2, 0.75 ** 2, 0.2 ** 2];
/** Of more coils what the machine does is not worked out: nothing is then said of any load. */
const MOST_COILS = 6;
const RUNS: ReadonlySet<LoadDoes> = new Set(['full', 'part', 'reversed', 'stalled']);

/** A coil of a circuit: what joins while it is at rest and while it is pulled in, and which others an interlock keeps out. */
interface Coil {
  id: LoadId;
  atRest: readonly (readonly [number, number])[];
  pulled: readonly (readonly [number, number])[];
  keepsOut: number;
}

const kept = new WeakMap<Circuit, readonly Coil[]>();

/** Kept by circuit, which never changes. */
function coilsOf(circuit: Circuit): readonly Coil[] {
  const known = kept.get(circuit);
  if (known) return known;
  const loads = circuit.loads.filter(contactsOfCoil);
  const coils = loads.map((load): Coil => {
    const contacts = contactsOfCoil(load);
    const nodes = (pairs: readonly (readonly [string, string])[] = []) =>
      pairs.map((pair) => pair.map((end) => circuit.endNode.get(endKey(load.id, end as never))))
        .map(([a, b]) => [a as number, b as number] as const); // prettier-ignore
    return {
      id: load.id,
      atRest: nodes(contacts?.atRest),
      pulled: nodes(contacts?.pulled),
      keepsOut: loads.reduce((mask, other, at) => (isInterlocked(load, other) ? mask | (1 << at) : mask), 0),
    };
  });
  kept.set(circuit, coils);
  return coils;
}

const isInterlocked = (one: Load, other: Load): boolean =>
  one.id !== other.id &&
  (one.interlocked?.includes(other.id) === true || other.interlocked?.includes(one.id) === true);

/** What joins in a machine in which no coil is pulled in, by node. */
export const joinsAtRest = (circuit: Circuit): (readonly [number, number])[] =>
  coilsOf(circuit).flatMap(({ atRest }) => atRest);

/** What every load does while these terminals join, pairs of places, and coils have settled. */
export function powered(
  circuit: Circuit,
  joins: readonly (readonly [number, number])[],
  fault: MachineFault = {},
): Powered {
  const coils = coilsOf(circuit);
  if (coils.length === 0) return poweredOnce(circuit, joins, fault);
  if (coils.length > MOST_COILS) {
    const atRest = poweredOnce(circuit, [...joins, ...joinsAtRest(circuit)], fault);
    return { ...atRest, loads: new Map(circuit.loads.map(({ id }) => [id, NOT_KNOWN])) };
  }
  return new Settling(circuit, coils, joins, fault).settled();
}

/** What a coil wants. */
type Wants = 'in' | 'out' | 'either';

/** A machine with coils, its other contacts standing still. */
class Settling {
  readonly #at = new Map<number, Powered>();

  constructor(
    private readonly circuit: Circuit,
    private readonly coils: readonly Coil[],
    private readonly joins: readonly (readonly [number, number])[],
    private readonly fault: MachineFault,
  ) {}

  /** The machine while these coils are pulled in. */
  at(mask: number): Powered {
    const known = this.#at.get(mask);
    if (known) return known;
    const contacts = this.coils.flatMap(({ atRest, pulled }, at) => (isIn(mask, at) ? pulled : atRest));
    const made = poweredOnce(this.circuit, [...this.joins, ...contacts], this.fault);
    this.#at.set(mask, made);
    return made;
  }

  #wants(mask: number, at: number): Wants {
    const coil = this.coils[at] as Coil;
    const { does, share } = this.at(mask).loads.get(coil.id) ?? NOT_KNOWN;
    if (!isIn(mask, at) && (mask & coil.keepsOut) !== 0) return 'out';
    if (does === 'not-known' || share === null) return 'either';
    if (does === 'stalled') return 'either';
    if (share < DROPS_OUT) return 'out';
    return share >= (isIn(mask, at) ? STAYS_IN : PULLS_IN) ? 'in' : 'either';
  }

  /** Coils that may move next, one at a time; `must`: those that do not stay. */
  #moves(mask: number): { may: number[]; must: boolean } {
    const wants = this.coils.map((_, at) => this.#wants(mask, at));
    const other = wants.map((one, at) => one !== 'either' && (one === 'in') !== isIn(mask, at));
    return {
      may: wants.flatMap((one, at) => (one === 'either' || other[at] ? [mask ^ (1 << at)] : [])),
      must: other.some(Boolean),
    };
  }

  /** All ways to stand that can follow on one. */
  #from(start: number): number[] {
    const met = new Set([start]);
    for (const mask of met) for (const next of this.#moves(mask).may) met.add(next);
    return [...met];
  }

  settled(): Powered {
    const isStable = (mask: number) => !this.#moves(mask).must;
    const followed = this.#from(0);
    const first = followed.filter(isStable);
    const every = Array.from({ length: 1 << this.coils.length }, (_, mask) => mask);
    const held = every.filter((mask) => !followed.includes(mask) && this.#isPossible(mask) && isStable(mask));
    const ways = first.length > 0 ? first : followed;
    const [shown = 0] = ways;
    const loads = new Map(
      this.circuit.loads.map(({ id }) => [id, this.#state(id, { ways, held, shown, isSteady: first.length > 0 })]),
    ); // prettier-ignore
    return { ...this.at(shown), loads, meetings: this.#meetings({ followed, first, held }) };
  }

  /** Whether no interlock forbids that all of these are pulled in. */
  #isPossible(mask: number): boolean {
    return this.coils.every(({ keepsOut }, at) => !isIn(mask, at) || (mask & keepsOut) === 0);
  }

  #state(
    id: LoadId,
    { ways, held, shown, isSteady }: { ways: number[]; held: number[]; shown: number; isSteady: boolean },
  ): LoadState {
    const stateAt = (mask: number) => this.at(mask).loads.get(id) ?? NOT_KNOWN;
    const state = stateAt(shown);
    const alike = ways.every((mask) => isAlike(stateAt(mask), state));
    // One coil by itself goes to and fro; of two that race nobody can say which is first.
    if (!alike && !isSteady && this.#oneMoves(ways)) return { does: 'chatters', share: null, watts: null };
    if (!alike) return NOT_KNOWN;
    const also = [...new Set(held.map((mask) => stateAt(mask).does))].filter((does) => does !== state.does);
    const at = this.coils.findIndex((coil) => coil.id === id);
    const runs = RUNS.has(state.does) && at < 0;
    return {
      ...state,
      ...(at >= 0 && ways.every((mask) => isIn(mask, at) === isIn(shown, at)) && { pulled: isIn(shown, at) }),
      ...(runs && shown !== 0 && !RUNS.has(stateAt(0).does) && { byCoil: true as const }),
      ...(also.length > 0 && { held: also }),
    };
  }

  #oneMoves(ways: readonly number[]): boolean {
    const moved = ways.reduce((all, mask) => all | (mask ^ (ways[0] ?? 0)), 0);
    return moved !== 0 && (moved & (moved - 1)) === 0;
  }

  /**
   * What meets in any way to stand that may follow. For certain: what all ways to rest have, what a held coil makes once it was started,
   * and what a coil makes that goes to and fro; else it hangs on which coil is first, and on how long it takes.
   */
  #meetings({ followed, first, held }: { followed: number[]; first: number[]; held: number[] }): Meeting[] {
    const keyOf = ({ how, supplies }: Meeting) => `${how} ${supplies.toSorted().join()}`;
    const at = (ways: readonly number[]) => ways.flatMap((mask) => this.at(mask).meetings);
    const toAndFro = first.length === 0 && this.#oneMoves(followed) ? followed : [];
    const sure = new Set(at([...held, ...toAndFro]).map(keyOf));
    const inAll = (key: string) =>
      first.length > 0 && first.every((mask) => at([mask]).some((one) => keyOf(one) === key));
    const all = new Map(at([...followed, ...held]).map((one) => [keyOf(one), one] as const));
    return [...all].map(([key, one]) => (sure.has(key) || inAll(key) ? one : { ...one, perhaps: true }));
  }
}

const isIn = (mask: number, at: number): boolean => ((mask >> at) & 1) === 1;

const isAlike = (one: LoadState, other: LoadState): boolean =>
  one.does === other.does &&
  Math.abs((one.share ?? 0) - (other.share ?? 0)) < 1e-6 &&
  besideKey(one) === besideKey(other);

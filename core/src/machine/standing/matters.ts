import type { Partition } from '../../partition/index.js';
import type { SettingId } from '../../switch/index.js';
import type { Healthy } from '../hunt/index.js';
import { wiredTerminals } from '../power/in-setting.js';
import type { Circuit } from '../wiring/circuit.js';
import { besideKey } from '../power/load-state.js';
import { powered } from '../power/settled.js';

/** More wired terminals than this have too many partitions to look at each. */
const MOST_WIRED = 8;
/** Boxes of a setting that are kept; more are said to be capped. */
const MOST_BOXES = 3;

/**
 * What of a setting matters: every partition of the wired terminals that joins what must join and parts what must part does the same
 * in the machine, whatever it does with the pairs that are free. Terminals by place.
 */
export interface Box {
  nets: Partition;
  free: readonly (readonly [number, number])[];
}

/** What matters in every setting; `capped`: there is more that would do, and it was not all looked at. */
export interface Matters {
  terminals: number[];
  settings: { setting: SettingId; boxes: Box[] }[];
  capped: boolean;
}

/** Why it cannot be said what matters. */
export type NoMatters = 'too-many-wires' | 'took-too-long';

/** Every partition of so many things, as the first of each block: restricted growth, in the textbook order. */
export function* everyPartition(size: number): Generator<number[]> {
  const roots: number[] = [];
  function* extend(): Generator<number[]> {
    if (roots.length === size) {
      yield [...roots];
      return;
    }
    const at = roots.length;
    for (const root of new Set(roots)) {
      roots.push(root);
      yield* extend();
      roots.pop();
    }
    roots.push(at);
    yield* extend();
    roots.pop();
  }
  yield* extend();
}

/** What the machine does, so that two ways to join can be compared: loads, shorts, which wires are live, what an open wire is joined to. */
function signature(circuit: Circuit, wired: readonly number[], roots: readonly number[]): string {
  const joins = roots.flatMap((root, at): [number, number][] =>
    root === at ? [] : [[wired[root] as number, wired[at] as number]],
  );
  const { loads, meetings, nets, live } = powered(circuit, joins);
  const states = [...loads.values()].map(
    (state) => `${state.does} ${(state.share ?? 0).toFixed(3)} ${besideKey(state)}`,
  );
  const leads = circuit.leads.map(({ b }) => (live.has(nets[b] as number) ? 1 : 0));
  const open = [...circuit.open].map((place) => wired.filter((one) => nets[one] === nets[place]).join());
  return JSON.stringify([
    states,
    meetings.map(({ how, supplies }) => `${how} ${supplies.toSorted().join()}`).toSorted(),
    leads,
    open,
  ]);
}

/**
 * What matters to the machine. Whole partitions are looked at, never single pairs: two that are each of no account may matter
 * together.
 * @param milliseconds after which it gives up, by the clock `now`
 */
export function whatMatters(
  circuit: Circuit,
  settings: readonly Healthy[],
  now: () => number,
  milliseconds = 2000,
): Matters | NoMatters {
  const wired = wiredTerminals(circuit).toSorted((a, b) => a - b);
  if (wired.length > MOST_WIRED) return 'too-many-wires';
  const until = now() + milliseconds;
  const all = [...everyPartition(wired.length)];
  const signatures: string[] = [];
  for (const roots of all) {
    if (now() > until) return 'took-too-long';
    signatures.push(signature(circuit, wired, roots));
  }
  let capped = false;
  const found = settings.map(({ setting, nets }) => {
    const base = rootsOf(nets, wired);
    const should = signature(circuit, wired, base);
    const acceptable = all.filter((_, at) => signatures[at] === should);
    const others = all.filter((_, at) => signatures[at] !== should);
    const boxes: Box[] = [];
    let left = acceptable;
    for (let start: number[] | undefined = base; start; start = left[0]) {
      if (boxes.length === MOST_BOXES) {
        capped = true;
        break;
      }
      const free = grown(start, others, wired.length);
      left = left.filter((roots) => !isIn(roots, start as number[], free));
      boxes.push(boxOf(start, free, wired, nets.length));
    }
    return { setting, boxes };
  });
  return { terminals: wired, settings: found, capped };
}

/** The nets of a setting among the wired terminals, by their order. */
function rootsOf(nets: Partition, wired: readonly number[]): number[] {
  return wired.map((place, at) => {
    const first = wired.findIndex((other) => nets[other] === nets[place]);
    return first < 0 ? at : first;
  });
}

type Free = ReadonlySet<string>;
const pairName = (a: number, b: number) => `${a} ${b}`;

/** Whether a partition agrees with another in every pair that is not free. */
function isIn(roots: readonly number[], start: readonly number[], free: Free): boolean {
  for (let a = 0; a < roots.length; a += 1)
    for (let b = a + 1; b < roots.length; b += 1)
      if ((roots[a] === roots[b]) !== (start[a] === start[b]) && !free.has(pairName(a, b))) return false;
  return true;
}

/** Pairs that can be let go one after the other without letting anything else in. */
function grown(start: readonly number[], others: readonly number[][], size: number): Free {
  const free = new Set<string>();
  for (let a = 0; a < size; a += 1)
    for (let b = a + 1; b < size; b += 1) {
      free.add(pairName(a, b));
      if (others.some((roots) => isIn(roots, start, free))) free.delete(pairName(a, b));
    }
  return free;
}

/** A box over all places: joins that must be, by the pairs that are not free. */
function boxOf(start: readonly number[], free: Free, wired: readonly number[], size: number): Box {
  const nets = Array.from({ length: size }, (_, place) => place);
  start.forEach((root, at) => {
    nets[wired[at] as number] = wired[root] as number;
  });
  return {
    nets,
    free: [...free].map((pair) => {
      const [a = 0, b = 0] = pair.split(' ').map(Number);
      return [wired[a] as number, wired[b] as number] as const;
    }),
  };
}

import { Ints } from '../../grid/index.js';
import { PairMarks } from '../../partition/index.js';
import {
  edgeBlocks,
  inferFrom,
  netsOfState,
  without,
  type Link,
  type Settled,
  type SwitchMap,
} from '../../continuity/index.js';
import { liveEvents } from '../../log/index.js';
import { type ReadingId } from '../../switch/index.js';
import { wordsFor, type Bits } from '../field/bits.js';
import { groupsOf } from '../field/groups.js';
import { holdApart, isWhole, type LooseReading } from './loose-net.js';
import { joinsToRead } from './recheck-pairs.js';

/**
 * What a setting still needs so that any single wrong reading of it would have shown: had that one said the opposite,
 * the readings would contradict. A join shows when its ends are joined without it too; an open when another open parts
 * the same two nets.
 */
export interface RecheckLeft {
  /** Readings without which a net falls apart: they would not show. */
  loose: readonly LooseReading[];
  /** Pairs inside a net that would leave none, to be read again or for the first time: expected closed. */
  joins: readonly [red: number, black: number][];
  /** Pairs of nets that only one reading parts, by the names of both, `terminals` squared, both ways round. */
  single: PairMarks;
}

/** Whether a person has asked for the re-check and not taken that back. */
export const recheckWanted = ({ log }: SwitchMap): boolean => liveEvents(log, 'recheck-begun').length > 0;

/** Readings that would contradict nothing if they had said the opposite. */
export function unprovenReadings(settled: Settled, places: readonly number[]): Set<ReadingId> {
  const inside = new Set(places);
  const single = [...opensByNets(settled).values()]
    .flatMap((opens) => (opens.length === 1 ? opens : []))
    .filter(({ a, b }) => inside.has(a) && inside.has(b));
  return new Set([...recheckLeft(settled, places).loose, ...single].map(({ reading }) => reading));
}

/** Worked out once for each settling; the same without it. */
const worked = new WeakMap<Settled, { places: string; left: RecheckLeft }>();

/** What the re-check of a settled setting has left; not to be changed. */
export function recheckLeft(settled: Settled, places: readonly number[]): RecheckLeft {
  const known = worked.get(settled);
  const named = places.join();
  if (known && known.places === named) return known.left;
  const loose = onDemand(() => looseIn(settled, places));
  const joins = onDemand(() => joinsToRead(settled, places, loose()));
  const single = onDemand(() => singleOpens(settled, places));
  const left: RecheckLeft = {
    get loose() {
      return loose();
    },
    get joins() {
      return joins();
    },
    get single() {
      return single();
    },
  };
  worked.set(settled, { places: named, left });
  return left;
}

/** Works something out when it is first asked for. */
function onDemand<T>(work: () => T): () => T {
  let done: { value: T } | null = null;
  return () => (done ??= { value: work() }).value;
}

function looseIn(settled: Settled, places: readonly number[]): LooseReading[] {
  const { nets } = settled;
  return lonelyReadings(settled).flatMap((reading) => {
    const parts = partsWithout(settled, reading);
    const torn = new Set(
      places.map((place) => nets[place] as number).filter((net) => !isWhole(parts, net, nets, places)),
    );
    if (torn.size === 0) return [];
    const apart = apartBetween(settled, parts, reading);
    return [...torn].map((net) => ({ reading, net, parts, apart }));
  });
}

/**
 * Joins that no other joins stand in for; low bundles that no join explains, and the opens that may tell which of its pairs
 * closed one.
 */
function lonelyReadings(settled: Settled): ReadingId[] {
  const { terminals, joins, opens, clauses } = settled;
  const size = terminals.length;
  const block = edgeBlocks(
    size,
    joins.map(({ a, b }) => [a, b] as const),
  );
  const members = new Map<number, number>();
  for (const one of block) members.set(one, (members.get(one) ?? 0) + 1);
  const alone = joins.filter((_, index) => members.get(block[index] as number) === 1);
  const solid = groupsOf(size, joins);
  const unexplained = clauses.filter(
    ({ red, black }) => !red.some((a) => black.some((b) => solid[a] === solid[b])),
  );
  const telling = unexplained.length === 0 ? [] : opens;
  return [...new Set([...alone, ...unexplained, ...telling].map(({ reading }) => reading))];
}

/** The nets of a setting as far as all other readings join them, each named by its smallest place. */
function partsWithout(settled: Settled, reading: ReadingId): number[] {
  const size = settled.terminals.length;
  const rest = without(settled, new Set([reading]));
  if (rest.clauses.length === 0) return groupsOf(size, rest.joins);
  const state = inferFrom(size, rest);
  if (!state) throw new Error('readings that agree do not agree without one of them');
  return netsOfState(state);
}

/** Which parts opens hold apart, all but one reading of them. */
function apartBetween({ opens }: Settled, parts: readonly number[], without: ReadingId): Bits {
  const size = parts.length;
  const apart = new Ints(size * wordsFor(size));
  for (const { a, b, reading } of opens)
    if (reading !== without) holdApart(apart, size, parts[a] as number, parts[b] as number);
  return apart;
}

/** Opens by the two nets that they part: the smaller name times the number of terminals, and the larger. */
type OpensByNets = ReadonlyMap<number, Link[]>;

function opensByNets({ nets, opens, terminals }: Settled): OpensByNets {
  const byNets = new Map<number, Link[]>();
  for (const link of opens) {
    const [one, two] = [nets[link.a] as number, nets[link.b] as number];
    const key = Math.min(one, two) * terminals.length + Math.max(one, two);
    const known = byNets.get(key);
    if (!known) byNets.set(key, [link]);
    // An open bundle parts two nets by many pairs, and is one reading all the same.
    else if (!known.some(({ reading }) => reading === link.reading)) known.push(link);
  }
  return byNets;
}

function singleOpens(settled: Settled, places: readonly number[]): PairMarks {
  const size = settled.terminals.length;
  const single = PairMarks.none(size);
  const inside = new Set(places.map((place) => settled.nets[place]));
  for (const [key, opens] of opensByNets(settled)) {
    const [one, two] = [Math.floor(key / size), key % size];
    if (opens.length === 1 && inside.has(one) && inside.has(two)) single.mark(one, two);
  }
  return single;
}

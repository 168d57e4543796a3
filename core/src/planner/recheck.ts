import {
  edgeBlocks,
  inferFrom,
  netsOfState,
  without,
  type Link,
  type Settled,
  type SwitchMap,
} from '../continuity/index.js';
import { liveEvents, type ReadingId } from '../switch/index.js';
import { wordsFor, type Bits } from './bits.js';
import { holdApart, isWhole, type LooseNet } from './loose-net.js';

/**
 * What a setting still needs so that any single wrong reading of it would have shown: had that one said the opposite,
 * the readings would contradict. A join shows when its ends are joined without it too; an open when another open parts
 * the same two nets.
 */
export interface RecheckLeft {
  /** Readings without which a net falls apart: they would not show. */
  loose: readonly (LooseNet & { reading: ReadingId })[];
  /** Pairs inside a net that would leave none, to be read again or for the first time: expected closed. */
  joins: readonly [red: number, black: number][];
  /** Pairs of nets that only one reading parts, by the names of both, `terminals` squared, both ways round. */
  single: Uint8Array;
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

function looseIn(settled: Settled, places: readonly number[]): RecheckLeft['loose'] {
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
  const apart = new Int32Array(size * wordsFor(size));
  for (const { a, b, reading } of opens)
    if (reading !== without) holdApart(apart, size, parts[a] as number, parts[b] as number);
  return apart;
}

/** Pairs that leave no reading loose: across what only low bundles join first, then those of the trees of bridges. */
function joinsToRead(
  settled: Settled,
  places: readonly number[],
  loose: RecheckLeft['loose'],
): [number, number][] {
  if (loose.length === 0) return [];
  const bundled = bundledJoins(settled, places, new Set(loose.map(({ net }) => net)));
  return bundled.length > 0 ? bundled : bridgesToRead(settled, places, loose);
}

/** A terminal of a net against one of each part of it that only low bundles join to it. */
function bundledJoins(
  settled: Settled,
  places: readonly number[],
  loose: ReadonlySet<number>,
): [number, number][] {
  if (settled.clauses.length === 0) return [];
  const solid = groupsOf(settled.terminals.length, settled.joins);
  const first = new Map<number, number>();
  return places.flatMap((place): [number, number][] => {
    const net = settled.nets[place] as number;
    if (!loose.has(net)) return [];
    const reference = first.get(net);
    if (reference === undefined) first.set(net, place);
    const part = memberOf(solid[place] as number, solid, places);
    return reference !== undefined && part === place && solid[reference] !== solid[place]
      ? [[place, reference]]
      : [];
  });
}

/**
 * Pairs that leave no bridge: the leaves of each tree of bridges in depth-first order, each joined to the one half way
 * on (Eswaran and Tarjan, "Augmentation problems", SIAM J. Comput. 5 (1976)).
 */
function bridgesToRead(
  settled: Settled,
  places: readonly number[],
  loose: RecheckLeft['loose'],
): [number, number][] {
  const size = settled.terminals.length;
  const unproven = new Set(loose.map(({ reading }) => reading));
  const bridges = settled.joins.filter(({ reading }) => unproven.has(reading));
  const isBridge = new Set(bridges);
  const solid = groupsOf(
    size,
    settled.joins.filter((link) => !isBridge.has(link)),
  );
  const next = new Map<number, Link[]>();
  for (const link of bridges)
    for (const end of [link.a, link.b]) {
      const group = solid[end] as number;
      next.set(group, [...(next.get(group) ?? []), link]);
    }
  const done = new Set<number>();
  const pairs: [number, number][] = [];
  for (const place of places) {
    const group = solid[place] as number;
    if (done.has(group) || !next.has(group)) continue;
    const leaves = leavesFrom(rootOf(group, next, solid), next, solid, done);
    pairs.push(...pairUp(leaves.map((leaf) => memberOf(leaf, solid, places))));
  }
  return pairs;
}

/** A group from which the tree is walked: one with two bridges or more, where there is one. */
function rootOf(start: number, next: ReadonlyMap<number, Link[]>, solid: readonly number[]): number {
  const [only, ...more] = next.get(start) ?? [];
  if (!only || more.length > 0) return start;
  return other(only, start, solid);
}

const other = (link: Link, group: number, solid: readonly number[]): number =>
  (solid[link.a] === group ? solid[link.b] : solid[link.a]) as number;

function leavesFrom(
  root: number,
  next: ReadonlyMap<number, Link[]>,
  solid: readonly number[],
  done: Set<number>,
): number[] {
  const leaves: number[] = [];
  const visit = (group: number) => {
    done.add(group);
    const links = next.get(group) ?? [];
    if (links.length === 1) leaves.push(group);
    for (const link of links) {
      const beyond = other(link, group, solid);
      if (!done.has(beyond)) visit(beyond);
    }
  };
  visit(root);
  return leaves;
}

/** Each leaf with the one half way on, red on the later one: the other way round than the first time. */
function pairUp(leaves: readonly number[]): [number, number][] {
  const half = Math.ceil(leaves.length / 2);
  const pairs: [number, number][] = [];
  const add = (one: number | undefined, other: number | undefined) => {
    if (one !== undefined && other !== undefined) pairs.push([Math.max(one, other), Math.min(one, other)]);
  };
  for (let at = 0; at + half < leaves.length; at += 1) add(leaves[at], leaves[at + half]);
  if (leaves.length % 2 === 1) add(leaves[half - 1], leaves.at(-1));
  return pairs;
}

const memberOf = (group: number, solid: readonly number[], places: readonly number[]): number =>
  places.find((place) => solid[place] === group) ?? group;

/** For every place the smallest place of its group. */
function groupsOf(size: number, links: readonly Link[]): number[] {
  const group = Array.from({ length: size }, (_, place) => place);
  for (let changed = true; changed;) {
    changed = false;
    for (const { a, b } of links) {
      const least = Math.min(group[a] as number, group[b] as number);
      if (group[a] !== least || group[b] !== least) changed = true;
      group[a] = group[b] = least;
    }
  }
  return group;
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

function singleOpens(settled: Settled, places: readonly number[]): Uint8Array {
  const size = settled.terminals.length;
  const single = new Uint8Array(size * size);
  const inside = new Set(places.map((place) => settled.nets[place]));
  for (const [key, opens] of opensByNets(settled)) {
    const [one, two] = [Math.floor(key / size), key % size];
    if (opens.length === 1 && inside.has(one) && inside.has(two)) single[key] = single[two * size + one] = 1;
  }
  return single;
}

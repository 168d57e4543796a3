import {
  edgeBlocks,
  inferFrom,
  netOf,
  without,
  type Link,
  type Settled,
  type SwitchMap,
} from '../continuity/index.js';
import { liveEvents, type ReadingId } from '../switch/index.js';
import type { OpensOfSetting } from './recheck-bundles.js';
import type { Sweep } from './sweep.js';

/**
 * What a setting still needs so that any single wrong reading of it would have shown: had that one said the opposite,
 * the readings would contradict. A join shows when its ends are joined without it too; an open when another open parts
 * the same two nets.
 */
export interface RecheckLeft {
  /** Pairs inside a net, to be read again or for the first time: expected closed. */
  joins: [red: number, black: number][];
  /** One lead on a net, the other over nets that only one reading parts from it: expected open. */
  sweeps: Sweep[];
}

/** Whether a person has asked for the re-check and not taken that back. */
export const recheckWanted = ({ log }: SwitchMap): boolean => liveEvents(log, 'recheck-begun').length > 0;

/** Readings that would contradict nothing if they had said the opposite. */
export function unprovenReadings(settled: Settled, places: readonly number[]): Set<ReadingId> {
  const inside = new Set(places);
  const counts = ({ a, b }: Link) => inside.has(a) && inside.has(b);
  const unproven = bridgesOf(settled).filter(counts);
  const single = [...opensByNets(settled).values()]
    .flatMap((opens) => (opens.length === 1 ? opens : []))
    .filter(counts);
  return new Set([...unproven, ...single].map(({ reading }) => reading));
}

/** What the re-check of a settled setting has left, by pairs alone: opens need a second pass over all pairs of nets. */
export const recheckLeft = (settled: Settled, places: readonly number[]): RecheckLeft =>
  leftOf(settled, places).left;

/** Pairs of nets of a setting that only one reading parts, by their names both ways round. */
export const singleOpens = (settled: Settled, places: readonly number[]): OpensOfSetting =>
  leftOf(settled, places).opens;

interface Left {
  places: string;
  left: RecheckLeft;
  opens: OpensOfSetting;
}

/** Worked out once for each settling; the same without it. */
const worked = new WeakMap<Settled, Left>();

function leftOf(settled: Settled, places: readonly number[]): Left {
  const known = worked.get(settled);
  const named = places.join();
  if (known && known.places === named) return known;
  const bundled = bundledJoins(settled, places);
  const byNets = opensByNets(settled);
  const left: Left = {
    places: named,
    left: {
      joins: bundled.length > 0 ? bundled : joinsToRead(settled, places),
      sweeps: opensToRead(settled, places, byNets),
    },
    opens: onlyOnce(settled, places, byNets),
  };
  worked.set(settled, left);
  return left;
}

/** Joins without which their ends would not be joined. */
function bridgesOf(settled: Settled): Link[] {
  const { terminals, joins } = settled;
  const block = edgeBlocks(
    terminals.length,
    joins.map(({ a, b }) => [a, b] as const),
  );
  const members = new Map<number, number>();
  for (const one of block) members.set(one, (members.get(one) ?? 0) + 1);
  const alone = joins.filter((_, index) => members.get(block[index] as number) === 1);
  return settled.clauses.length === 0 ? alone : alone.filter((link) => !impliedWithout(settled, link));
}

/** Whether low bundles and what is open say that two terminals join, without the reading that joined them. */
function impliedWithout(settled: Settled, { a, b, reading }: Link): boolean {
  const state = inferFrom(settled.terminals.length, without(settled, new Set([reading])));
  return state !== null && netOf(state, a) === netOf(state, b);
}

/** A terminal of a net against one of each part of it that only low bundles join to it. */
function bundledJoins(settled: Settled, places: readonly number[]): [number, number][] {
  if (settled.clauses.length === 0) return [];
  const solid = groupsOf(settled.terminals.length, settled.joins);
  const first = new Map<number, number>();
  return places.flatMap((place): [number, number][] => {
    const net = settled.nets[place] as number;
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
function joinsToRead(settled: Settled, places: readonly number[]): [number, number][] {
  const size = settled.terminals.length;
  const bridges = bridgesOf(settled);
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

function onlyOnce(settled: Settled, places: readonly number[], byNets: OpensByNets): OpensOfSetting {
  const size = settled.terminals.length;
  const single = new Uint8Array(size * size);
  const inside = new Set(places.map((place) => settled.nets[place]));
  for (const [key, opens] of byNets) {
    const [one, two] = [Math.floor(key / size), key % size];
    if (opens.length === 1 && inside.has(one) && inside.has(two)) single[key] = single[two * size + one] = 1;
  }
  return { nets: settled.nets, single };
}

/** From the last net to the first, so that the leads come the other way round than the first time. */
function opensToRead(settled: Settled, places: readonly number[], byNets: OpensByNets): Sweep[] {
  const { nets, terminals } = settled;
  const heads = places
    .filter((place) => places.find((one) => nets[one] === nets[place]) === place)
    .toReversed();
  return heads.flatMap((red, at) => {
    const black = heads.slice(at + 1).filter((head) => {
      const [one, two] = [nets[red] as number, nets[head] as number];
      return byNets.get(Math.min(one, two) * terminals.length + Math.max(one, two))?.length === 1;
    });
    return black.length > 0 ? [{ red, black: black.toReversed() }] : [];
  });
}

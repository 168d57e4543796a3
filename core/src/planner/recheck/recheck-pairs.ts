import type { Link, Settled } from '../../continuity/index.js';
import { groupsOf } from '../field/groups.js';
import type { LooseReading } from './loose-net.js';

/** Pairs that leave no reading loose: across what only low bundles join first, then those of the trees of bridges. */
export function joinsToRead(
  settled: Settled,
  places: readonly number[],
  loose: readonly LooseReading[],
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
  loose: readonly LooseReading[],
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

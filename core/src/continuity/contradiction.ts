import { partitionOf } from '../partition/index.js';
import type { ReadingId } from '../switch/index.js';
import { edgeBlocks } from './blocks-of-graph.js';
import { shortestPath, type Link } from './link.js';

/** Readings that cannot all hold. */
export interface Contradiction {
  /** Opens inside what the joins make one net, in reading order. */
  opens: ReadingId[];
  /** Every join on a simple path between the ends of one of those opens. */
  joins: ReadingId[];
  /** Readings whose removal alone settles it, likeliest slip first (a tone before ohms). */
  enough: ReadingId[];
  /** True when two or more tones are among the joins: parts in series may sound one by one and not together. */
  maybePartsInSeries: boolean;
}

/**
 * Every contradiction among pair evidence, those that share a suspect taken together. The suspects are the union
 * of all irreducible sets: an open, plus the joins on simple paths between its ends, which are the links of the
 * blocks along any one path (block-cut tree). So the order of the readings never matters.
 */
export function findContradictions(
  nodes: number,
  joins: readonly Link[],
  opens: readonly Link[],
): Contradiction[] {
  const net = partitionOf(
    nodes,
    joins.map(({ a, b }) => [a, b] as const),
  );
  const broken = opens.filter(({ a, b }) => net[a] === net[b]);
  if (broken.length === 0) return [];
  const block = edgeBlocks(
    nodes,
    joins.map(({ a, b }) => [a, b] as const),
  );
  const place = new Map(joins.map((link, index) => [link, index]));
  const blocksBetween = broken.map(
    ({ a, b }) =>
      new Set((shortestPath(joins, a, b) ?? []).map((link) => block[place.get(link) as number] as number)),
  );
  return groupByShared(blocksBetween).map((members) => {
    const theirOpens = members.map((index) => broken[index] as Link);
    const theirBlocks = new Set(members.flatMap((index) => [...(blocksBetween[index] as Set<number>)]));
    const theirJoins = joins.filter((_, index) => theirBlocks.has(block[index] as number));
    return describe(nodes, theirJoins, theirOpens);
  });
}

function groupByShared(sets: readonly Set<number>[]): number[][] {
  const pairs: [number, number][] = [];
  sets.forEach((set, one) => {
    for (let other = one + 1; other < sets.length; other += 1) {
      if ([...(sets[other] as Set<number>)].some((member) => set.has(member))) pairs.push([one, other]);
    }
  });
  const groups = new Map<number, number[]>();
  partitionOf(sets.length, pairs).forEach((root, index) => {
    groups.set(root, [...(groups.get(root) ?? []), index]);
  });
  return [...groups.values()];
}

function describe(nodes: number, joins: Link[], opens: Link[]): Contradiction {
  const settledBy = (link: Link) => {
    const rest = joins.filter((other) => other !== link).map(({ a, b }) => [a, b] as const);
    const net = partitionOf(nodes, rest);
    return opens.every((open) => open === link || net[open.a] !== net[open.b]);
  };
  const enough = [...opens, ...joins].filter(settledBy);
  const tonesFirst = [
    ...enough.filter(({ by }) => by === 'tone'),
    ...enough.filter(({ by }) => by !== 'tone'),
  ];
  return {
    opens: opens.map(({ reading }) => reading),
    joins: joins.map(({ reading }) => reading),
    enough: tonesFirst.map(({ reading }) => reading),
    maybePartsInSeries: joins.filter(({ by }) => by === 'tone').length >= 2,
  };
}

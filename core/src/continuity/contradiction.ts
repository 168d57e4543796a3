import { partitionOf } from '../partition/index.js';
import type { ReadingId } from '../switch/index.js';
import { edgeBlocks } from './blocks-of-graph.js';
import { contradictsItself, inferFrom, shrink, without, type EvidenceSet } from './evidence-set.js';
import { shortestPath, type Link } from './link.js';
import { TooTangled, type Steps } from './net-state.js';

/** Readings that cannot all hold. */
export interface Contradiction {
  /** Opens inside what the joins make one net, in reading order. */
  opens: ReadingId[];
  /** Every join on a simple path between the ends of one of those opens. */
  joins: ReadingId[];
  /** Readings whose removal alone settles it, likeliest slip first (a tone before ohms). */
  enough: ReadingId[];
  /** True when these are all readings that can be at fault; false when bundles are among them: one set of them, then. */
  everySuspect: boolean;
  /** Places of clips any one of which, had it made no contact, explains it: what hung on it reads open whatever is joined. */
  clips: number[];
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
    const rest = joins.filter((other) => other.reading !== link.reading).map(({ a, b }) => [a, b] as const);
    const net = partitionOf(nodes, rest);
    return opens.every((open) => open.reading === link.reading || net[open.a] !== net[open.b]);
  };
  const enough = [...opens, ...joins].filter(settledBy);
  const tonesFirst = [
    ...enough.filter(({ by }) => by === 'tone'),
    ...enough.filter(({ by }) => by !== 'tone'),
  ];
  return {
    opens: once(opens.map(({ reading }) => reading)),
    joins: joins.map(({ reading }) => reading),
    enough: once(tonesFirst.map(({ reading }) => reading)),
    everySuspect: true,
    clips: clipsThatExplain(nodes, { joins, opens, clauses: [] }),
    maybePartsInSeries: joins.filter(({ by }) => by === 'tone').length >= 2,
  };
}

const once = (ids: ReadingId[]): ReadingId[] => [...new Set(ids)];

/**
 * Contradictions that bundles are part of, in evidence whose pairs agree: irreducible sets, taken out one after another
 * in a fixed order until the rest is consistent. A failed set is one way in which the readings cannot all hold, not all.
 * `tangled`: the steps ran out before the rest was consistent; what was found until then stands.
 */
export function findBundleContradictions(
  size: number,
  evidence: EvidenceSet,
  steps: Steps,
): { found: Contradiction[]; tangled: boolean } {
  const found: Contradiction[] = [];
  let rest = evidence;
  try {
    for (;;) {
      const quick = rest.clauses.length > 0 && contradictsItself(size, rest, steps);
      if (!quick && (rest.clauses.length === 0 || inferFrom(size, rest, steps))) break;
      const holds = (part: EvidenceSet) =>
        quick ? contradictsItself(size, part, steps) : inferFrom(size, part, steps) === null;
      const core = new Set(shrink(rest, holds));
      found.push(coreOf(size, rest, core));
      rest = without(rest, core);
    }
  } catch (error) {
    if (!(error instanceof TooTangled)) throw error;
    return { found, tangled: true };
  }
  return { found, tangled: false };
}

function coreOf(
  size: number,
  { joins, opens, clauses }: EvidenceSet,
  core: ReadonlySet<ReadingId>,
): Contradiction {
  const inCore = <Item extends { reading: ReadingId; by: Link['by'] }>(items: readonly Item[]) =>
    items.filter(({ reading }) => core.has(reading));
  const closed = [...inCore(joins), ...inCore(clauses)];
  return {
    opens: once(inCore(opens).map(({ reading }) => reading)),
    joins: once(closed.map(({ reading }) => reading)),
    enough: [...core],
    everySuspect: false,
    clips: clipsThatExplain(size, {
      joins: inCore(joins),
      opens: inCore(opens),
      clauses: inCore(clauses),
    }),
    maybePartsInSeries: closed.filter(({ by }) => by === 'tone').length >= 2,
  };
}

/** Clips without whose opens what contradicts agrees, in the order of their places. */
function clipsThatExplain(size: number, { joins, opens, clauses }: EvidenceSet): number[] {
  const clips = [...new Set(opens.flatMap((open) => open.clips ?? []))].sort((one, other) => one - other);
  return clips.filter((clip) => {
    const rest = opens.filter((open) => open.clips?.includes(clip) !== true);
    return inferFrom(size, { joins, opens: rest, clauses }) !== null;
  });
}

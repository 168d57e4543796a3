import { Ints } from '../../grid/index.js';
import { WireSets } from './wire-sets.js';
import { blocks, join, partitionOf, rank, type Partition } from '../../partition/index.js';

/** What has to hold between two wires in one position; nothing is said of a pair that is in neither. */
export interface WiresInPosition {
  /** Groups of wires that must join. */
  joined: readonly (readonly number[])[];
  /** Pairs that do not matter. */
  free: readonly (readonly [number, number])[];
}

/** What a replacement has to do, by wires: `wires` of them, numbered from 0, in every position in handle order. */
export interface WireDemand {
  wires: number;
  positions: readonly WiresInPosition[];
  /** Pairs that must never meet, in no position that the handle can come to: two supplies. */
  never: readonly (readonly [number, number])[];
}

/** A demand made ready to be searched: sets by position and wire. */
export interface CompiledDemand {
  wires: number;
  positions: number;
  /** Wires that must join a wire, itself included, and that must part from it: by position * wires + wire. */
  must: WireSets;
  part: WireSets;
  /** Closure of what must join, and of what may, by position. */
  low: Partition[];
  high: Partition[];
  /** Ranks of `low`. */
  ranks: number[];
  /** rank(low_a v high_b) - rank(high_b), by a * positions + b: what a adds to whatever b may be. */
  adds: Ints;
  never: readonly (readonly [number, number])[];
  /** A pair must join and must part: nothing can do that. */
  impossible: boolean;
  /**
   * Parts of the demand that have no join with one another in any position, the largest first; empty where there is one only, or
   * where pairs do not matter. What none of its terminals can do for one of them, a part cannot do for all.
   */
  pieces: CompiledDemand[];
}

/** Compiles a demand. */
export function compileDemand(demand: WireDemand): CompiledDemand {
  const { wires, positions, never } = demand;
  const cells = positions.length * wires;
  const [must, part] = [new WireSets(cells, wires), new WireSets(cells, wires)];
  const [low, high]: [Partition[], Partition[]] = [[], []];
  let impossible = false;
  positions.forEach(({ joined, free }, position) => {
    const lo = partitionOf(
      wires,
      joined.flatMap((group) => group.slice(1).map((wire): [number, number] => [group[0] as number, wire])),
    );
    const loose = new Set(free.flatMap(([a, b]) => [a * wires + b, b * wires + a]));
    const nets = new Set<number>();
    // What is said apart of two wires is said of all that must join them.
    for (let a = 0; a < wires; a += 1)
      for (let b = 0; b < wires; b += 1) {
        if (lo[a] === lo[b] || loose.has(a * wires + b)) continue;
        nets.add((lo[a] as number) * wires + (lo[b] as number));
      }
    const may: [number, number][] = [];
    for (let a = 0; a < wires; a += 1)
      for (let b = 0; b < wires; b += 1) {
        const at = position * wires + a;
        if (lo[a] === lo[b]) must.add(at, b);
        else if (nets.has((lo[a] as number) * wires + (lo[b] as number))) part.add(at, b);
        else may.push([a, b]);
      }
    low.push(lo);
    high.push(join(lo, partitionOf(wires, may)));
  });
  for (const [a, b] of never) {
    positions.forEach((_, position) => {
      if (low[position]?.[a] === low[position]?.[b]) impossible = true;
      part.add(position * wires + a, b);
      part.add(position * wires + b, a);
    });
  }
  const size = positions.length;
  return {
    wires,
    positions: size,
    must,
    part,
    low,
    high,
    adds: addsOf(low, high),
    never,
    impossible,
    ranks: low.map(rank),
    pieces: piecesOf(demand),
  };
}

/** What each position adds to another, by ranks. */
function addsOf(low: readonly Partition[], high: readonly Partition[]): Ints {
  const size = low.length;
  const adds = new Ints(size * size, size);
  low.forEach((one, a) =>
    high.forEach((other, b) => adds.set(a * size + b, rank(join(one, other)) - rank(other))),
  );
  return adds;
}

function piecesOf({ wires, positions, never }: WireDemand): CompiledDemand[] {
  if (positions.some(({ free }) => free.length > 0)) return [];
  const pairs = positions.flatMap(({ joined }) =>
    joined.flatMap((group) => group.slice(1).map((wire): [number, number] => [group[0] as number, wire])),
  );
  const groups = blocks(partitionOf(wires, pairs));
  if (groups.length < 2) return [];
  const seen = new Set<string>();
  return groups
    .filter((group) => group.length > 1)
    .toSorted((one, other) => other.length - one.length)
    .flatMap((group) => {
      const place = new Map(group.map((wire, at) => [wire, at]));
      const inside = (list: readonly number[]) => list.flatMap((wire) => place.get(wire) ?? []);
      const piece: WireDemand = {
        wires: group.length,
        positions: positions.map(({ joined }) => ({
          joined: joined.map(inside).filter((net) => net.length > 1),
          free: [],
        })),
        never: never.map(inside).filter((pair): pair is [number, number] => pair.length === 2),
      };
      const key = JSON.stringify(piece);
      if (seen.has(key)) return [];
      seen.add(key);
      return [compileDemand(piece)];
    });
}

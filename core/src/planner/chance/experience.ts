import { cellOf, type PairMarks, discrete, partitionOf } from '../../partition/index.js';
import { netOf } from '../../continuity/index.js';
import type { Field } from '../field/field.js';

/** What the settings together have shown so far of every pair and every terminal, by place. */
export interface Experience {
  /** In how many settings two terminals are known to join, and to be apart: `size` squared. */
  joined: Uint16Array;
  apart: Uint16Array;
  /** With how many others a terminal joins in some setting. */
  degree: Uint16Array;
  /** In how many settings a terminal joins anything. */
  busy: Uint16Array;
  /** The pole of a terminal so far: its component over all settings. */
  pole: number[];
  /** Joins known in each setting (rank of its nets), and their mean over settings of which most is known. */
  joins: number[];
  usual: number;
  /** Pairs of nets that nobody knows of, in each setting, and those of them that a terminal's net is in. */
  open: number[];
  openAt: Uint16Array[];
  /** In each setting the net of every terminal, and how many share it. */
  nets: Int16Array[];
  members: Uint16Array[];
  /** Of the joins seen more than once or never again: the share that came again, 0 to 1. */
  repeats: number;
}

/** How often each pair was joined and apart, and how often each terminal was joined: counted setting by setting. */
class Tally {
  readonly joined: Uint16Array;
  readonly apart: Uint16Array;
  readonly busy: Uint16Array;
  readonly openAt: Uint16Array[];
  readonly open: number[];

  constructor(private readonly field: Field) {
    const { size, settings } = field;
    [this.joined, this.apart] = [new Uint16Array(size * size), new Uint16Array(size * size)];
    this.busy = new Uint16Array(size);
    this.openAt = settings.map(() => new Uint16Array(size));
    this.open = settings.map(() => 0);
  }

  /** Counts the pairs of one setting whose nets are these; how many joins it takes. */
  count(setting: number, net: Int16Array, held: PairMarks): number {
    const { size, places } = this.field;
    const met = new Uint8Array(size);
    for (let at = 0; at < places.length; at += 1)
      for (let next = at + 1; next < places.length; next += 1) {
        const [a, b] = [places[at] as number, places[next] as number];
        const [one, other] = [net[a] as number, net[b] as number];
        if (one === other) {
          grow(this.joined, cellOf(size, a, b));
          met[a] = met[b] = 1;
        } else if (held.has(one, other)) grow(this.apart, cellOf(size, a, b));
        else if (one === a && other === b) {
          this.open[setting] = (this.open[setting] as number) + 1;
          grow(this.openAt[setting] as Uint16Array, a);
          grow(this.openAt[setting] as Uint16Array, b);
        }
      }
    let joins = 0;
    for (const place of places) {
      if (met[place] === 1) grow(this.busy, place);
      if (net[place] !== place) joins += 1;
    }
    return joins;
  }

  /** The pairs that were ever joined, once all settings are counted; the tables are the same both ways round then. */
  pairs(): [number, number][] {
    const { size, places } = this.field;
    const pairs: [number, number][] = [];
    places.forEach((a, at) => {
      for (const b of places.slice(at + 1)) {
        const [cell, mirrored] = [cellOf(size, a, b), cellOf(size, b, a)];
        this.joined[mirrored] = this.joined[cell] as number;
        this.apart[mirrored] = this.apart[cell] as number;
        if ((this.joined[cell] as number) > 0) pairs.push([a, b]);
      }
    });
    return pairs;
  }
}

/** Counts what is known, anew: a few microseconds for a small switch, well under a millisecond at 48 x 24. */
export function experienceOf(field: Field): Experience {
  const { size, places, settings } = field;
  const nets = settings.map((one) => Int16Array.from({ length: size }, (_, place) => netOf(one.nets, place)));
  const tally = new Tally(field);
  const joins = settings.map((one, setting) =>
    tally.count(setting, nets[setting] as Int16Array, one.nets.apart),
  );
  const pairs = tally.pairs();
  const degree = new Uint16Array(size);
  for (const place of pairs.flat()) grow(degree, place);
  const { joined, apart, busy, open, openAt } = tally;
  return {
    nets,
    members: nets.map((net) => membersOf(net)),
    open,
    openAt,
    repeats: repeatsOf(size, pairs, joined, apart),
    joined,
    apart,
    degree,
    busy,
    pole: pairs.length > 0 ? partitionOf(size, pairs) : discrete(size),
    joins,
    usual: usualOf(joins, open, places.length),
  };
}

/** The mean of the joins of settings that are known well. */
function usualOf(joins: readonly number[], open: readonly number[], places: number): number {
  const pairsOf = (nets: number) => (nets * (nets - 1)) / 2;
  const some = joins.filter(
    (rank, setting) => (open[setting] as number) < 0.3 * pairsOf(Math.max(2, places - rank)),
  );
  return some.length > 0 ? some.reduce((sum, rank) => sum + rank, 0) / some.length : 0;
}

/** Of the joins seen more than once or never again: the share that came again, with one in three to begin with. */
function repeatsOf(
  size: number,
  pairs: readonly [number, number][],
  joined: Uint16Array,
  apart: Uint16Array,
): number {
  let [again, all] = [1, 3];
  for (const [a, b] of pairs) {
    const cell = cellOf(size, a, b);
    const others = (joined[cell] as number) + (apart[cell] as number) - 1;
    if (others <= 0) continue;
    all += 1;
    again += Math.min(1, ((joined[cell] as number) - 1) / others);
  }
  return again / all;
}

/** One more at a place. */
function grow(list: Uint16Array, place: number): void {
  list[place] = (list[place] as number) + 1;
}

/** For every place how many places its net has. */
function membersOf(net: Int16Array): Uint16Array {
  const members = new Uint16Array(net.length);
  for (const name of net) members[name] = (members[name] as number) + 1;
  return Uint16Array.from(net, (name) => members[name] as number);
}

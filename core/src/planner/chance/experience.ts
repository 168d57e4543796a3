import { Ints } from '../../grid/index.js';
import { cellOf, type PairMarks, discrete, partitionOf } from '../../partition/index.js';
import { netOf } from '../../continuity/index.js';
import type { Field } from '../field/field.js';

/** What the settings together have shown so far of every pair and every terminal, by place. */
export interface Experience {
  /** In how many settings two terminals are known to join, and to be apart: `size` squared. */
  joined: Ints;
  apart: Ints;
  /** With how many others a terminal joins in some setting. */
  degree: Ints;
  /** In how many settings a terminal joins anything. */
  busy: Ints;
  /** The pole of a terminal so far: its component over all settings. */
  pole: number[];
  /** Joins known in each setting (rank of its nets), and their mean over settings of which most is known. */
  joins: Ints;
  usual: number;
  /** Pairs of nets that nobody knows of, in each setting, and those of them that a terminal's net is in: [setting, place]. */
  open: Ints;
  openAt: Ints;
  /** In each setting the net of every terminal, and how many share it: [setting, place]. */
  nets: Ints;
  members: Ints;
  /** Of the joins seen more than once or never again: the share that came again, 0 to 1. */
  repeats: number;
}

/** How often each pair was joined and apart, and how often each terminal was joined: counted setting by setting. */
class Tally {
  readonly joined: Ints;
  readonly apart: Ints;
  readonly busy: Ints;
  readonly openAt: Ints;
  readonly open: Ints;
  readonly places: Ints;

  constructor(
    private readonly size: number,
    settings: number,
    places: readonly number[],
  ) {
    [this.joined, this.apart] = [new Ints(size * size), new Ints(size * size)];
    this.busy = new Ints(size);
    this.openAt = new Ints(settings * size, size);
    this.open = new Ints(settings);
    this.places = new Ints(places);
  }

  /** Counts the pairs of one setting, whose nets stand in its row; how many joins it takes. */
  count(setting: number, nets: Ints, held: PairMarks): number {
    const { size, places } = this;
    const met = new Uint8Array(size);
    for (let at = 0; at < places.length; at += 1)
      for (let next = at + 1; next < places.length; next += 1) {
        const [a, b] = [places.get(at), places.get(next)];
        const [one, other] = [nets.cell(setting, a), nets.cell(setting, b)];
        if (one === other) {
          this.joined.add(cellOf(size, a, b), 1);
          met[a] = met[b] = 1;
        } else if (held.has(one, other)) this.apart.add(cellOf(size, a, b), 1);
        else if (one === a && other === b) {
          this.open.add(setting, 1);
          this.openAt.add(setting * size + a, 1);
          this.openAt.add(setting * size + b, 1);
        }
      }
    let joins = 0;
    for (const place of places.cells) {
      if (met[place] === 1) this.busy.add(place, 1);
      if (nets.cell(setting, place) !== place) joins += 1;
    }
    return joins;
  }

  /** The pairs that were ever joined, once all settings are counted; the tables are the same both ways round then. */
  pairs(): [number, number][] {
    const { size, places } = this;
    const pairs: [number, number][] = [];
    places.cells.forEach((a, at) => {
      for (const b of places.cells.subarray(at + 1)) {
        const [cell, mirrored] = [cellOf(size, a, b), cellOf(size, b, a)];
        this.joined.set(mirrored, this.joined.get(cell));
        this.apart.set(mirrored, this.apart.get(cell));
        if (this.joined.get(cell) > 0) pairs.push([a, b]);
      }
    });
    return pairs;
  }
}

/** Counts what is known, anew: a few microseconds for a small switch, well under a millisecond at 48 x 24. */
export function experienceOf(field: Field): Experience {
  const { size, places, settings } = field;
  const nets = Ints.rows(settings.map((one) => Array.from({ length: size }, (_, at) => netOf(one.nets, at))));
  const tally = new Tally(size, settings.length, places);
  const joins = new Ints(settings.map((one, setting) => tally.count(setting, nets, one.nets.apart)));
  const pairs = tally.pairs();
  const degree = new Ints(size);
  for (const place of pairs.flat()) degree.add(place, 1);
  const { joined, apart, busy, open, openAt } = tally;
  return {
    nets,
    members: membersOf(nets),
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
function usualOf(joins: Ints, open: Ints, places: number): number {
  const pairsOf = (nets: number) => (nets * (nets - 1)) / 2;
  const some = joins.cells.filter(
    (rank, setting) => open.get(setting) < 0.3 * pairsOf(Math.max(2, places - rank)),
  );
  return some.length > 0 ? some.reduce((sum, rank) => sum + rank, 0) / some.length : 0;
}

/** Of the joins seen more than once or never again: the share that came again, with one in three to begin with. */
function repeatsOf(size: number, pairs: readonly [number, number][], joined: Ints, apart: Ints): number {
  let [again, all] = [1, 3];
  for (const [a, b] of pairs) {
    const cell = cellOf(size, a, b);
    const others = joined.get(cell) + apart.get(cell) - 1;
    if (others <= 0) continue;
    all += 1;
    again += Math.min(1, (joined.get(cell) - 1) / others);
  }
  return again / all;
}

/** In every setting, for every place, how many places its net has. */
function membersOf(nets: Ints): Ints {
  const { columns } = nets;
  const sizes = new Ints(nets.length, columns);
  const firstOf = (index: number) => index - (index % columns) + nets.get(index);
  for (let index = 0; index < nets.length; index += 1) sizes.add(firstOf(index), 1);
  return Ints.from(nets.length, (index) => sizes.get(firstOf(index)), columns);
}

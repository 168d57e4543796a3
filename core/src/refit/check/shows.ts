import { onesIn } from '../../grid/index.js';
import { clearBit, hasBit, MistakeSets, setBit } from './mistake-sets.js';
import { joinedWith, nodesOf, type Bench, type Mistake } from './mistakes.js';

/** Where a reading is taken: the place of a position, and of two ends among `nodesOf` the bench. */
export interface Taken {
  position: number;
  a: number;
  b: number;
}

/** Nets by node in a position. */
type Nets = readonly number[];

/**
 * What readings show of the single mistakes of a bench, as sets of bits. A wire that is moved, swapped or not on changes only what
 * is read at its own far end, so a reading shows mistakes of two wires at most, by the net in which its other end lies; and of those
 * few that are of no wire: jumpers, and the handle one detent off. So sets of whole benches are never written out.
 */
export class Shows {
  /** Words that were looked at so far: how much was done. */
  work = 0;
  readonly wires: number;
  readonly lugs: number;
  readonly nodes: number;
  readonly sets: MistakeSets;
  /** By position: the nets as they should be, null where it is not known. */
  readonly #right: readonly (Nets | null)[];
  /** By mistake of no wire, then by position. */
  readonly #wrong: readonly (readonly (Nets | null)[])[];
  /** By position and net: lugs and wires in it, as bits. */
  readonly #lugsIn: readonly (ReadonlyMap<number, Int32Array> | null)[];
  readonly #wiresIn: readonly (ReadonlyMap<number, Int32Array> | null)[];
  /** By position and net: how many nodes are in it. */
  readonly #sizes: readonly (ReadonlyMap<number, number> | null)[];
  /** Places of mistakes among all, by the wires that they are of; and of those of no wire. */
  readonly #byWire: number[][];
  readonly #otherPlaces: number[] = [];
  readonly #lugOf: readonly (readonly number[])[];
  readonly #noLugs: Int32Array;
  readonly #noWires: Int32Array;

  constructor(private readonly bench: Bench) {
    const { at, lugs, nets } = bench;
    this.wires = at.length;
    this.lugs = lugs;
    this.nodes = nodesOf(bench);
    this.sets = new MistakeSets(bench);
    const positions = nets.map((_, position) => position);
    this.#right = positions.map((position) => joinedWith(bench, position, null));
    this.#wrong = this.sets.others.map((mistake) =>
      positions.map((position) => joinedWith(bench, position, mistake)),
    );
    this.#byWire = at.map(() => []);
    this.sets.list.forEach((mistake, place) => {
      const wires = 'wire' in mistake ? [mistake.wire] : mistake.kind === 'swapped' ? mistake.wires : [];
      for (const wire of wires) this.#byWire[wire]?.push(place);
      if (wires.length === 0) this.#otherPlaces.push(place);
    });
    this.#lugOf = this.#right.map((right) => (right ? this.#lugOfEachNet(right) : []));
    this.#sizes = this.#right.map((right) => {
      const sizes = new Map<number, number>();
      for (const net of right ?? []) sizes.set(net, (sizes.get(net) ?? 0) + 1);
      return sizes;
    });
    this.#noLugs = new Int32Array(this.sets.moves);
    this.#noWires = new Int32Array(this.sets.swaps);
    this.#lugsIn = this.#right.map(
      (right) => right && this.#byNet(right, lugs, this.sets.moves, (lug) => at.length + lug),
    );
    this.#wiresIn = this.#right.map(
      (right) => right && this.#byNet(right, at.length, this.sets.swaps, (wire) => wire),
    );
  }

  #byNet(right: Nets, many: number, words: number, node: (one: number) => number): Map<number, Int32Array> {
    const found = new Map<number, Int32Array>();
    for (let one = 0; one < many; one += 1) {
      const net = right[node(one)] as number;
      const bits = found.get(net) ?? new Int32Array(words);
      bits[one >>> 5] = (bits[one >>> 5] as number) | (1 << (one & 31));
      found.set(net, bits);
    }
    return found;
  }

  /** How many readings may show a mistake, as a rank: those that few show come first. */
  easeOf(mistake: Mistake): number {
    const { at } = this.bench;
    const lugOf = (wire: number) => this.wires + (at[wire] as number);
    const sizes = this.#sizes;
    const moved = (wire: number, to: number | null) =>
      this.#right.reduce((sum, right, position) => {
        if (!right || (to !== null && right[to] === right[lugOf(wire)])) return sum;
        const size = (node: number) => sizes[position]?.get(right[node] as number) ?? 0;
        return sum + size(lugOf(wire)) - 1 + (to === null ? 0 : size(to));
      }, 0);
    if (mistake.kind === 'wrong-lug') return moved(mistake.wire, this.wires + mistake.lug);
    if (mistake.kind === 'not-on') return moved(mistake.wire, null);
    if (mistake.kind !== 'swapped') return Infinity;
    const [one, other] = mistake.wires;
    return moved(one, lugOf(other)) + moved(other, lugOf(one));
  }

  /** Readings among which all are that show a mistake. */
  *readingsFor(mistake: Mistake): Generator<Taken> {
    if (mistake.kind === 'wrong-lug' || mistake.kind === 'not-on') yield* this.readingsOf(mistake.wire);
    else if (mistake.kind === 'swapped') for (const wire of mistake.wires) yield* this.readingsOf(wire);
    else yield* this.readings();
  }

  /** Whether a position is known, and what a reading there should be. */
  joins({ position, a, b }: Taken): boolean | null {
    const right = this.#right[position];
    return right ? right[a] === right[b] : null;
  }

  /** Readings at two far ends, and at one far end and one lug of each net; where jumpers count, at two lugs too. */
  *readings(): Generator<Taken> {
    for (const [position, right] of this.#right.entries()) {
      if (!right) continue;
      const lugs = this.#lugOf[position] as readonly number[];
      for (let a = 0; a < this.wires; a += 1) {
        for (let b = a + 1; b < this.wires; b += 1) yield { position, a, b };
        for (const b of lugs) yield { position, a, b };
      }
      if (this.sets.others.length <= 2) continue;
      for (let a = this.wires; a < this.nodes; a += 1)
        for (let b = a + 1; b < this.nodes; b += 1) yield { position, a, b };
    }
  }

  /** Readings at two far ends. */
  *readingsBetween(one: number, other: number): Generator<Taken> {
    for (const [position, right] of this.#right.entries())
      if (right) yield { position, a: Math.min(one, other), b: Math.max(one, other) };
  }

  /** Readings at a far end. */
  *readingsOf(wire: number): Generator<Taken> {
    for (const [position, right] of this.#right.entries()) {
      if (!right) continue;
      for (let b = 0; b < this.wires; b += 1)
        if (b !== wire) yield { position, a: Math.min(wire, b), b: Math.max(wire, b) };
      for (const b of this.#lugOf[position] as readonly number[]) yield { position, a: wire, b };
    }
  }

  #lugOfEachNet(right: Nets): number[] {
    const first = new Map<number, number>();
    for (let node = this.wires; node < this.nodes; node += 1)
      if (!first.has(right[node] as number)) first.set(right[node] as number, node);
    return [...first.values()];
  }

  /** How many mistakes of a set a reading shows. */
  shown({ position, a, b }: Taken, set: Int32Array): number {
    const { row: words, moves, swaps, others } = this.sets;
    this.work += 2 * words;
    const right = this.#right[position] as Nets;
    const joined = right[a] === right[b];
    let sum = 0;
    for (let end = 0; end < 2; end += 1) {
      const wire = end === 0 ? a : b;
      if (wire >= this.wires) continue;
      const other = end === 0 ? b : a;
      const net = right[other] as number;
      const lugs = this.#lugsIn[position]?.get(net) ?? this.#noLugs;
      const wires = this.#wiresIn[position]?.get(net) ?? this.#noWires;
      const row = wire * words;
      // What goes elsewhere is shown: away from the net where it should join, into it where it should not.
      const flip = joined ? -1 : 0;
      for (let word = 0; word < moves; word += 1)
        sum += onesIn((set[row + word] as number) & ((lugs[word] as number) ^ flip));
      for (let word = 0; word < swaps; word += 1)
        sum += onesIn((set[row + moves + word] as number) & ((wires[word] as number) ^ flip));
      // Two wires that are swapped with one another are read at the same two places.
      if (other < this.wires && joined !== hasBit(wires, 0, other) && hasBit(set, row + moves, other))
        sum -= 1;
    }
    const start = this.wires * words;
    for (let at = 0; at < others.length; at += 1) {
      const wrong = this.#wrong[at]?.[position];
      if (set[start + at] === 1 && wrong && (wrong[a] === wrong[b]) !== joined) sum += 1;
    }
    return sum;
  }

  /** Whether a reading shows a mistake. */
  isShown({ position, a, b }: Taken, mistake: Mistake): boolean {
    this.work += 1;
    const right = this.#right[position] as Nets;
    const joined = right[a] === right[b];
    const { at } = this.bench;
    const goes = (wire: number, lug: number | null): boolean => {
      if (wire !== a && wire !== b) return false;
      if (lug === null) return joined;
      return (right[this.wires + lug] === right[wire === a ? b : a]) !== joined;
    };
    switch (mistake.kind) {
      case 'wrong-lug':
        return goes(mistake.wire, mistake.lug);
      case 'not-on':
        return goes(mistake.wire, null);
      case 'swapped': {
        const [one, other] = mistake.wires;
        const isBetween = (a === one && b === other) || (a === other && b === one);
        return !isBetween && (goes(one, at[other] as number) || goes(other, at[one] as number));
      }
      default: {
        const wrong = this.#wrong[this.sets.placeOf(mistake)]?.[position];
        return Boolean(wrong) && (wrong?.[a] === wrong?.[b]) !== joined;
      }
    }
  }

  /** The places of the mistakes, among `mistakesOf` the bench, that a reading shows. */
  places(reading: Taken): number[] {
    return [
      ...this.#placesOf(reading.a),
      ...this.#placesOf(reading.b, reading.a),
      ...this.#otherPlaces,
    ].filter((place) => this.isShown(reading, this.sets.list[place] as Mistake));
  }

  /** The places of the mistakes of a wire; none of a lug. Swaps with one wire may be left out. */
  #placesOf(node: number, but = -1): readonly number[] {
    const places = this.#byWire[node] ?? [];
    if (but < 0 || but >= this.wires) return places;
    return places.filter((place) => {
      const mistake = this.sets.list[place] as Mistake;
      return mistake.kind !== 'swapped' || !mistake.wires.includes(but);
    });
  }

  /** Takes what a reading shows out of a set; or puts it into one. */
  take({ position, a, b }: Taken, set: Int32Array, into = false): void {
    const { row: words, moves, others, everything } = this.sets;
    const right = this.#right[position] as Nets;
    const joined = right[a] === right[b];
    const flip = joined ? -1 : 0;
    for (let end = 0; end < 2; end += 1) {
      const [wire, other] = end === 0 ? [a, b] : [b, a];
      if (wire >= this.wires) continue;
      const net = right[other] as number;
      const lugs = this.#lugsIn[position]?.get(net) ?? this.#noLugs;
      const wires = this.#wiresIn[position]?.get(net) ?? this.#noWires;
      const row = wire * words;
      for (let word = 0; word < words; word += 1) {
        const isMove = word < moves;
        let bits = (isMove ? (lugs[word] as number) : (wires[word - moves] as number)) ^ flip;
        bits &= everything[row + word] as number;
        // Two wires that are swapped with one another are read at the same two places.
        if (!isMove && other < this.wires && other >>> 5 === word - moves) bits &= ~(1 << (other & 31));
        const before = set[row + word] as number;
        set[row + word] = into ? before | bits : before & ~bits;
        // A swap stands in the row of its other wire too.
        for (let rest = isMove ? 0 : bits; rest !== 0; rest &= rest - 1) {
          const second = (word - moves) * 32 + 31 - Math.clz32(rest & -rest);
          (into ? setBit : clearBit)(set, second * words + moves, wire);
        }
      }
    }
    const start = this.wires * words;
    for (let one = 0; one < others.length; one += 1) {
      const wrong = this.#wrong[one]?.[position];
      if (wrong && (wrong[a] === wrong[b]) !== joined) set[start + one] = into ? 1 : 0;
    }
  }
}

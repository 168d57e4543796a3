import { onesIn } from '../../grid/index.js';
import { mistakesOf, type Bench, type Mistake } from './mistakes.js';

/**
 * Sets of single mistakes of a bench, as bits: by wire a row of its moves (one bit a lug, then one for not being on) and
 * of its swaps, then a word for each mistake of no wire. A swap stands in the rows of both its wires.
 */
export class MistakeSets {
  readonly wires: number;
  readonly lugs: number;
  /** Words of a wire's moves, of its swaps, and of both. */
  readonly moves: number;
  readonly swaps: number;
  readonly row: number;
  readonly list: readonly Mistake[];
  /** Mistakes that are of no wire. */
  readonly others: readonly Mistake[];
  /** All of them; not to be changed. */
  readonly everything: Int32Array;

  constructor(private readonly bench: Bench) {
    const { at, lugs } = bench;
    this.wires = at.length;
    this.lugs = lugs;
    this.moves = (lugs + 32) >>> 5;
    this.swaps = (at.length + 31) >>> 5;
    this.row = this.moves + this.swaps;
    this.list = mistakesOf(bench);
    this.others = this.list.filter(
      ({ kind }) => kind !== 'wrong-lug' && kind !== 'swapped' && kind !== 'not-on',
    );
    this.everything = this.#everything();
  }

  /** All mistakes, as a set: what is left to be shown at the beginning. A swap stands in the rows of both its wires. */
  all(): Int32Array {
    return this.everything.slice();
  }

  #everything(): Int32Array {
    const left = new Int32Array(this.wires * this.row + this.others.length);
    const { at } = this.bench;
    for (let wire = 0; wire < this.wires; wire += 1) {
      const row = wire * this.row;
      for (let lug = 0; lug <= this.lugs; lug += 1) if (lug !== at[wire]) setBit(left, row, lug);
      for (let other = 0; other < this.wires; other += 1)
        if (at[other] !== at[wire]) setBit(left, row + this.moves, other);
    }
    left.fill(1, this.wires * this.row);
    return left;
  }

  /** How many mistakes of a set there are. */
  count(set: Int32Array): number {
    let [moved, swapped] = [0, 0];
    for (let wire = 0; wire < this.wires; wire += 1)
      for (let word = 0; word < this.row; word += 1) {
        const ones = onesIn(set[wire * this.row + word] as number);
        if (word < this.moves) moved += ones;
        else swapped += ones;
      }
    let others = 0;
    for (let at = this.wires * this.row; at < set.length; at += 1) others += set[at] as number;
    return moved + swapped / 2 + others;
  }

  /** The mistakes of a set. */
  mistakes(set: Int32Array): Mistake[] {
    return this.list.filter((mistake) => this.isIn(mistake, set));
  }

  /** Whether a mistake is in a set. */
  isIn(mistake: Mistake, set: Int32Array): boolean {
    const [row, swaps] = [this.row, this.moves];
    if (mistake.kind === 'wrong-lug') return hasBit(set, mistake.wire * row, mistake.lug);
    if (mistake.kind === 'not-on') return hasBit(set, mistake.wire * row, this.lugs);
    if (mistake.kind === 'swapped') return hasBit(set, mistake.wires[0] * row + swaps, mistake.wires[1]);
    return set[this.wires * row + this.placeOf(mistake)] === 1;
  }

  /** Wires of which a set has moves: only at their own far ends are those shown. */
  movedIn(set: Int32Array): number[] {
    const moved: number[] = [];
    for (let wire = 0; wire < this.wires; wire += 1)
      for (let word = 0; word < this.moves; word += 1)
        if (set[wire * this.row + word] !== 0) {
          moved.push(wire);
          break;
        }
    return moved;
  }

  /** Those of no wire that are handed out are these very ones. */
  placeOf(mistake: Mistake): number {
    return this.others.indexOf(mistake);
  }
}

export function setBit(set: Int32Array, start: number, bit: number): void {
  set[start + (bit >>> 5)] = (set[start + (bit >>> 5)] as number) | (1 << (bit & 31));
}

export function clearBit(set: Int32Array, start: number, bit: number): void {
  set[start + (bit >>> 5)] = (set[start + (bit >>> 5)] as number) & ~(1 << (bit & 31));
}

export const hasBit = (set: Int32Array, start: number, bit: number): boolean =>
  ((set[start + (bit >>> 5)] as number) & (1 << (bit & 31))) !== 0;

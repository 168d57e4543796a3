import { Ints } from '../../grid/index.js';

/** Sets of wires, as many as wanted, each in words of 32 bits: joined and compared very often. */
export class WireSets {
  /** Words of one set. */
  readonly words: number;
  readonly cells: Ints;

  constructor(
    readonly count: number,
    readonly wires: number,
  ) {
    this.words = Math.max(1, (wires + 31) >>> 5);
    this.cells = new Ints(count * this.words);
  }

  add(set: number, wire: number): void {
    this.cells.setBits(set * this.words + (wire >>> 5), 1 << (wire & 31));
  }

  has(set: number, wire: number): boolean {
    return (this.cells.get(set * this.words + (wire >>> 5)) & (1 << (wire & 31))) !== 0;
  }

  /** Whether a set shares a wire with a set of others. */
  meets(set: number, others: WireSets, other: number): boolean {
    for (let word = 0; word < this.words; word += 1)
      if ((this.cells.get(set * this.words + word) & others.cells.get(other * this.words + word)) !== 0)
        return true;
    return false;
  }

  /** Whether two sets are equal. */
  isSame(one: number, other: number): boolean {
    for (let word = 0; word < this.words; word += 1)
      if (this.cells.get(one * this.words + word) !== this.cells.get(other * this.words + word)) return false;
    return true;
  }

  /** Takes over all sets of others of the same size. */
  takeOver(from: WireSets): void {
    this.cells.takeOver(from.cells);
  }
}

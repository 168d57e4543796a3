/**
 * Per pair of wires the positions in which something is so: known, or without meaning. Bits in words of 32 positions: those of a pair
 * stand together, pairs row by row.
 */
export class PairBits {
  readonly #words: number;
  readonly bits: Uint32Array;

  /** @param bits what is so from the beginning, as it was stored or sent; nothing without */
  constructor(
    private readonly wires: number,
    positions: number,
    bits?: ArrayLike<number>,
  ) {
    this.#words = wordsOf(positions);
    this.bits = bits ? Uint32Array.from(bits) : new Uint32Array(lengthOfBits(wires, positions));
  }

  /** Whether it is so of a pair of wires in a position. */
  has(one: number, other: number, position: number): boolean {
    return (((this.bits[this.#word(one, other, position)] ?? 0) >>> (position & 31)) & 1) === 1;
  }

  /** Says it of a pair, either way round, in a position. */
  add(one: number, other: number, position: number): void {
    for (const word of [this.#word(one, other, position), this.#word(other, one, position)])
      this.bits[word] = (this.bits[word] as number) | (1 << (position & 31));
  }

  get isEmpty(): boolean {
    return this.bits.every((word) => word === 0);
  }

  #word(one: number, other: number, position: number): number {
    return (one * this.wires + other) * this.#words + (position >>> 5);
  }
}

const wordsOf = (positions: number): number => Math.max(1, (positions + 31) >>> 5);

/** Words that say it of so many wires in so many positions. */
export const lengthOfBits = (wires: number, positions: number): number => wires ** 2 * wordsOf(positions);

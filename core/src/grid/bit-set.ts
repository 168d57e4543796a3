/** A set of small whole numbers, 0 to size - 1, in words of 32 bits: whether one holds all of another is asked very often. */
export class BitSet {
  readonly #words: Int32Array;

  private constructor(words: Int32Array) {
    this.#words = words;
  }

  /** A set for numbers below `size` that holds these. */
  static of(size: number, members: Iterable<number> = []): BitSet {
    const made = new BitSet(new Int32Array(Math.ceil(size / 32)));
    for (const member of members) made.add(member);
    return made;
  }

  has(member: number): boolean {
    return ((this.#words[member >> 5] as number) & (1 << (member & 31))) !== 0;
  }

  add(member: number): void {
    this.#words[member >> 5] = (this.#words[member >> 5] as number) | (1 << (member & 31));
  }

  /** Takes in all that another of the same size holds. */
  addAll(other: BitSet): void {
    for (let at = 0; at < this.#words.length; at += 1)
      this.#words[at] = (this.#words[at] as number) | (other.#words[at] as number);
  }

  /** This and another of the same size together. */
  with(other: BitSet): BitSet {
    const made = new BitSet(this.#words.slice());
    made.addAll(other);
    return made;
  }

  /** Whether another of the same size holds all that this one holds. */
  isWithin(other: BitSet): boolean {
    return this.#words.every((word, at) => (word & ~(other.#words[at] as number)) === 0);
  }

  /** How many it holds. */
  count(): number {
    let sum = 0;
    for (const word of this.#words) sum += onesIn(word);
    return sum;
  }

  /** How many it holds that another of the same size does not. */
  countBeyond(other: BitSet): number {
    let sum = 0;
    for (let at = 0; at < this.#words.length; at += 1)
      sum += onesIn((this.#words[at] as number) & ~(other.#words[at] as number));
    return sum;
  }

  /** Equal sets have the same text. */
  key(): string {
    return this.#words.join();
  }
}

/** How many bits of a word are set (H. S. Warren, Hacker's Delight, section 5-1). */
export function onesIn(word: number): number {
  let bits = word - ((word >>> 1) & 0x55555555);
  bits = (bits & 0x33333333) + ((bits >>> 2) & 0x33333333);
  return Math.imul((bits + (bits >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

/** Flags in words of 32, row after row: whether sets of places meet is asked very often. */
export type Bits = Int32Array;

/** How many words hold so many flags. */
export const wordsFor = (size: number): number => Math.ceil(size / 32);

export function setBit(bits: Bits, at: number, row = 0, words = 0): void {
  const word = row * words + (at >> 5);
  bits[word] = (bits[word] as number) | (1 << (at & 31));
}

export const hasBit = (bits: Bits, at: number, row = 0, words = 0): boolean =>
  ((bits[row * words + (at >> 5)] as number) & (1 << (at & 31))) !== 0;

/** The place of the lowest set bit of a word that has one. */
export const lowestBit = (word: number): number => 31 - Math.clz32(word & -word);

/** How many bits of a word are set (H. S. Warren, Hacker's Delight, section 5-1). */
export function countBits(word: number): number {
  let bits = word - ((word >>> 1) & 0x55555555);
  bits = (bits & 0x33333333) + ((bits >>> 2) & 0x33333333);
  return Math.imul((bits + (bits >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

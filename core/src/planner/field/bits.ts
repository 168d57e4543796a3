import { type Ints } from '../../grid/index.js';

/** Flags in words of 32, row after row: whether sets of places meet is asked very often. */
export type Bits = Ints;

/** How many words hold so many flags. */
export const wordsFor = (size: number): number => Math.ceil(size / 32);

export function setBit(bits: Bits, at: number, row = 0, words = 0): void {
  bits.setBits(row * words + (at >> 5), 1 << (at & 31));
}

export const hasBit = (bits: Bits, at: number, row = 0, words = 0): boolean =>
  (bits.get(row * words + (at >> 5)) & (1 << (at & 31))) !== 0;

/** The place of the lowest set bit of a word that has one. */
export const lowestBit = (word: number): number => 31 - Math.clz32(word & -word);

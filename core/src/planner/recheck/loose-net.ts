import { Ints } from '../../grid/index.js';
import type { ReadingId } from '../../switch/index.js';
import { hasBit, lowestBit, setBit, wordsFor, type Bits } from '../field/bits.js';

/**
 * A reading that would not show if it were wrong: without it a net falls into parts. All places and the parts of all nets
 * are named by their smallest place.
 */
export interface LooseNet {
  net: number;
  /** By place, in all nets: that of this net, as far as the other readings join it. */
  parts: readonly number[];
  /** Which parts opens hold apart without it: a row of bits for each, both ways round. */
  apart: Bits;
}

/** A loose net, and the reading that would not show. */
export type LooseReading = LooseNet & { reading: ReadingId };

/** Holds two parts apart, in place. */
export function holdApart(apart: Bits, size: number, one: number, other: number): void {
  const words = wordsFor(size);
  setBit(apart, other, one, words);
  setBit(apart, one, other, words);
}

/** Asked for so often that it is not made anew. */
let scratch = new Ints(2);

/**
 * The two parts of a loose net that a low reading would join: those that the two leads are on, where each lead is on one
 * part of it alone and all else across is apart, so that nothing else can have closed it. null where it does not say so.
 * @param leads by place: 1 on red, 2 on black, 0 on none.
 */
export function partsJoined(
  { net, parts, apart }: LooseNet,
  nets: ArrayLike<number>,
  leads: ArrayLike<number>,
): [red: number, black: number] | null {
  const words = wordsFor(parts.length);
  if (scratch.length < words) scratch = new Ints(words);
  const blacks = scratch;
  blacks.cells.fill(0);
  let [one, other] = [-1, -1];
  for (let place = 0; place < parts.length; place += 1) {
    const lead = leads[place];
    if (lead !== 1 && lead !== 2) continue;
    const part = parts[place] as number;
    if (lead === 2) setBit(blacks, part);
    if (nets[place] !== net) continue;
    const before = lead === 1 ? one : other;
    if (before !== -1 && before !== part) return null;
    if (lead === 1) one = part;
    else other = part;
  }
  if (one === -1 || other === -1 || one === other) return null;
  for (let place = 0; place < parts.length; place += 1) {
    if (leads[place] !== 1) continue;
    const part = parts[place] as number;
    for (let word = 0; word < words; word += 1) {
      const unknown = blacks.get(word) & ~apart.get(part * words + word);
      if (unknown === 0) continue;
      const only = (unknown & (unknown - 1)) === 0 && word * 32 + lowestBit(unknown) === other;
      if (part !== one || !only) return null;
    }
  }
  return [one, other];
}

/** What is loose after two of its parts are joined: null when the net is whole. */
export function withJoined(
  loose: LooseNet,
  [one, other]: readonly [number, number],
  nets: readonly number[],
  places: readonly number[],
): LooseNet | null {
  const parts = loose.parts.map((part) => (part === other ? one : part));
  if (isWhole(parts, loose.net, nets, places)) return null;
  const size = parts.length;
  const apart = loose.apart.copy();
  for (let part = 0; part < size; part += 1)
    if (hasBit(apart, part, other, wordsFor(size))) holdApart(apart, size, one, part);
  return { ...loose, parts, apart };
}

/** What a loose net is like after a reading that was open. */
export function withOpen(loose: LooseNet, red: readonly number[], black: readonly number[]): LooseNet {
  const apart = loose.apart.copy();
  for (const a of red)
    for (const b of black)
      holdApart(apart, loose.parts.length, loose.parts[a] as number, loose.parts[b] as number);
  return { ...loose, apart };
}

/** Whether all contacts of a net, by place, are in one part. */
export function isWhole(
  parts: readonly number[],
  net: number,
  nets: readonly number[],
  places: readonly number[],
): boolean {
  const first = parts[places.find((place) => nets[place] === net) ?? 0];
  return places.every((place) => nets[place] !== net || parts[place] === first);
}

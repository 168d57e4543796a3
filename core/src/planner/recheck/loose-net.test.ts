import { describe, expect, it } from 'vitest';
import { Ints } from '../../grid/index.js';
import { hasBit } from '../field/bits.js';
import { leftOn, onceOnly } from '../../testing/recheck-boards.js';
import { isWhole, partsJoined, withJoined, withOpen } from './loose-net.js';
import { takeExpected } from './recheck-board.js';

describe('what a reading that came out as expected leaves', () => {
  const parts = [0, 0, 2, 2, 4];
  const nets = [0, 0, 0, 0, 4];
  const places = [0, 1, 2, 3, 4];
  const leads = (red: number[], black: number[]) =>
    places.map((place) => (red.includes(place) ? 1 : black.includes(place) ? 2 : 0));

  it('joins two parts of a net where each lead is on one of them alone', () => {
    const loose = { net: 0, parts, apart: new Ints(5) };
    expect(partsJoined(loose, nets, leads([0, 1], [3]))).toEqual([0, 2]);
    expect(partsJoined(loose, nets, leads([3], [1]))).toEqual([2, 0]);
    // Within one part; across it on both leads; one lead on nothing of the net.
    expect(partsJoined(loose, nets, leads([0], [1]))).toBeNull();
    expect(partsJoined(loose, nets, leads([0, 2], [3]))).toBeNull();
    expect(partsJoined(loose, nets, leads([0, 2], [4]))).toBeNull();
    expect(isWhole(parts, 0, nets, places)).toBe(false);
    expect(isWhole(parts, 4, nets, places)).toBe(true);
  });

  it('does not where something else may have closed it: 4 may be joined to 1 as long as nothing parts them', () => {
    const loose = { net: 0, parts, apart: new Ints(5) };
    expect(partsJoined(loose, nets, leads([2, 4], [1]))).toBeNull();
    const open = withOpen(loose, [4], [0]);
    expect(partsJoined(open, nets, leads([2, 4], [1]))).toEqual([2, 0]);
    // Joined, the net is whole; of three parts one is left, and what was parted from either is parted from both.
    expect(withJoined(open, [0, 2], nets, places)).toBeNull();
    const three = { ...open, parts: [0, 1, 2, 2, 4] };
    const two = withJoined(three, [2, 0], nets, places);
    expect(two?.parts).toEqual([2, 1, 2, 2, 4]);
    expect(two && hasBit(two.apart, 4, 2, 1)).toBe(true);
  });

  it('says nothing where two nets are on both leads', () => {
    const board = onceOnly([[0, 0, 2, 2, 4]]);
    const before = leftOn(board);
    takeExpected(board, 0, [0, 2], [1, 3]);
    expect(leftOn(board)).toBe(before);
    takeExpected(board, 0, [0, 4], [1]);
    expect(leftOn(board)).toBe(before);
    takeExpected(board, 0, [0, 4], [2]);
    // {0, 1} and {2, 3}, {4} and {2, 3}: each parted both ways round.
    expect(leftOn(board)).toBe(before - 4);
    takeExpected(board, 0, [0], [1]);
    expect(leftOn(board)).toBe(before - 4 - 1000);
  });
});

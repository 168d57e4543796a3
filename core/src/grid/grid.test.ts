import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BitSet, Ints, onesIn, Reals } from './index.js';

describe('numbers in rows', () => {
  it('are read by row and column, and by index', () => {
    const rows = Ints.rows([
      [1, 2, 3],
      [4, 5, 6],
    ]);
    expect([rows.columns, rows.length]).toEqual([3, 6]);
    expect([rows.cell(0, 2), rows.cell(1, 0), rows.get(4)]).toEqual([3, 4, 5]);
    rows.add(4, 10);
    rows.setBits(5, 9);
    const copy = rows.copy();
    rows.set(0, 7);
    expect([...copy.cells]).toEqual([1, 2, 3, 4, 15, 15]);
    copy.takeOver(rows);
    expect(copy.get(0)).toBe(7);
  });

  it('exchange two rows, and one with itself', () => {
    const rows = new Reals([1, 2, 3, 4, 5, 6], 2);
    rows.swapRows(0, 2);
    rows.swapRows(1, 1);
    expect([...rows.cells]).toEqual([5, 6, 3, 4, 1, 2]);
  });
});

describe('sets of small numbers', () => {
  const members = fc.array(fc.nat(99));

  it('do what sets do', () => {
    fc.assert(
      fc.property(members, members, (one, other) => {
        const [a, b] = [BitSet.of(100, one), BitSet.of(100, other)];
        const [left, right] = [new Set(one), new Set(other)];
        const both = [...left].filter((member) => right.has(member));
        expect(a.count()).toBe(left.size);
        expect(a.countBeyond(b)).toBe(left.size - both.length);
        expect(a.isWithin(b)).toBe(both.length === left.size);
        expect(a.with(b).count()).toBe(new Set([...one, ...other]).size);
        // What is made of two leaves both as they were.
        expect([a.count(), b.count()]).toEqual([left.size, right.size]);
        expect(a.key() === b.key()).toBe(left.size === right.size && both.length === left.size);
        for (let member = 0; member < 100; member += 1) expect(a.has(member)).toBe(left.has(member));
      }),
    );
  });

  it('count the ones in a word, the highest bit too', () => {
    fc.assert(
      fc.property(fc.integer(), (word) => {
        expect(onesIn(word)).toBe([...(word >>> 0).toString(2)].filter((digit) => digit === '1').length);
      }),
    );
  });
});

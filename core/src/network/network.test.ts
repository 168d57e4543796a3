import { describe, expect, it } from 'vitest';
import { seededRandom } from '../switch/index.js';
import { resistanceBetween, type Resistance } from './resistance.js';

describe('resistance between two nodes', () => {
  it('adds in series and in parallel (Ohm and Kirchhoff, any textbook)', () => {
    const series: Resistance[] = [
      { a: 0, b: 1, ohms: 100 },
      { a: 1, b: 2, ohms: 47 },
    ];
    expect(resistanceBetween(3, series, 0, 2)).toBeCloseTo(147, 9);
    const parallel: Resistance[] = [
      { a: 0, b: 1, ohms: 60 },
      { a: 0, b: 1, ohms: 30 },
    ];
    expect(resistanceBetween(2, parallel, 0, 1)).toBeCloseTo(20, 9);
  });

  it('is 5/6, 3/4 and 7/12 of an edge across a cube: corner, face diagonal, edge (classic textbook problem)', () => {
    const cube: Resistance[] = [];
    for (let a = 0; a < 8; a += 1)
      for (const bit of [1, 2, 4]) if (!(a & bit)) cube.push({ a, b: a | bit, ohms: 12 });
    expect(resistanceBetween(8, cube, 0, 7)).toBeCloseTo(10, 9);
    expect(resistanceBetween(8, cube, 0, 3)).toBeCloseTo(9, 9);
    expect(resistanceBetween(8, cube, 0, 1)).toBeCloseTo(7, 9);
  });

  it('does not see the bridge of a balanced Wheatstone bridge (textbook), and sees an unbalanced one', () => {
    const bridge = (corner: number, across: number): Resistance[] => [
      { a: 0, b: 1, ohms: 10 },
      { a: 1, b: 3, ohms: 20 },
      { a: 0, b: 2, ohms: 30 },
      { a: 2, b: 3, ohms: corner },
      { a: 1, b: 2, ohms: across },
    ];
    expect(resistanceBetween(4, bridge(60, 5), 0, 3)).toBeCloseTo(
      resistanceBetween(4, bridge(60, 5000), 0, 3),
      9,
    );
    expect(resistanceBetween(4, bridge(90, 5), 0, 3)).not.toBeCloseTo(
      resistanceBetween(4, bridge(90, 5000), 0, 3),
      3,
    );
  });

  it('is infinite where nothing joins, nothing through a short, and the same both ways round', () => {
    const random = seededRandom(3);
    for (let round = 0; round < 100; round += 1) {
      const network = Array.from({ length: 8 }, () => ({
        a: Math.floor(random() * 6),
        b: Math.floor(random() * 6),
        ohms: random() < 0.2 ? 0 : random() * 100,
      }));
      const [there, back] = [resistanceBetween(6, network, 0, 5), resistanceBetween(6, network, 5, 0)];
      if (there === Infinity) expect(back).toBe(Infinity);
      else expect(back).toBeCloseTo(there, 6);
    }
    expect(resistanceBetween(3, [{ a: 0, b: 1, ohms: 1 }], 0, 2)).toBe(Infinity);
    expect(resistanceBetween(2, [{ a: 0, b: 1, ohms: 0 }], 0, 1)).toBe(0);
  });

  it('refuses nodes outside and negative ohms', () => {
    expect(() => resistanceBetween(2, [{ a: 0, b: 2, ohms: 1 }], 0, 1)).toThrow(RangeError);
    expect(() => resistanceBetween(2, [{ a: 0, b: 1, ohms: -1 }], 0, 1)).toThrow(RangeError);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom, shuffled } from '../switch/index.js';
import { switchLikePattern } from '../testing/generated.js';
import { runs } from '../testing/runs.js';
import { kindsOf } from '../kinds/index.js';
import { relabel, type Pattern } from './pattern.js';
import { bestRelabelling } from './relabelling.js';

function cellsOf(pattern: Pattern, unknown: (at: number) => boolean = () => false): (boolean | null)[][] {
  const size = pattern[0]?.length ?? 0;
  return pattern.map((partition, setting) => {
    const cells = new Array<boolean | null>(size * size).fill(null);
    for (let a = 0; a < size; a += 1)
      for (let b = a + 1; b < size; b += 1) {
        const is = unknown(setting * size * size + a * size + b) ? null : partition[a] === partition[b];
        cells[a * size + b] = cells[b * size + a] = is;
      }
    return cells;
  });
}

function* permutations(items: readonly number[]): Generator<number[]> {
  if (items.length === 0) yield [];
  for (const [at, first] of items.entries())
    for (const rest of permutations([...items.slice(0, at), ...items.slice(at + 1)])) yield [first, ...rest];
}

/** Every relabelling tried: the reference by brute force. */
function bruteForce(table: Pattern, known: (boolean | null)[][], pins: ReadonlyMap<number, number>): number {
  const size = table[0]?.length ?? 0;
  let least = Infinity;
  for (const to of permutations(Array.from({ length: size }, (_, place) => place))) {
    if ([...pins].some(([a, p]) => to[a] !== p)) continue;
    let differs = 0;
    table.forEach((partition, setting) => {
      for (let a = 0; a < size; a += 1)
        for (let b = a + 1; b < size; b += 1) {
          const is = known[setting]?.[a * size + b] ?? null;
          if (is !== null && is !== (partition[to[a] as number] === partition[to[b] as number])) differs += 1;
        }
    });
    least = Math.min(least, differs);
  }
  return least;
}

describe('the best relabelling', () => {
  it('differs in as few cells as the best of all relabellings, pins and unknown cells included', () => {
    fc.assert(
      fc.property(
        switchLikePattern(6, 3).filter((table) => (table[0]?.length ?? 0) >= 2),
        fc.integer({ min: 1, max: 1e6 }),
        fc.boolean(),
        (table, seed, pinned) => {
          const random = seededRandom(seed);
          const size = table[0]?.length ?? 0;
          const other = relabel(table, shuffled(table[0]?.map((_, at) => at) ?? [], random));
          const known = cellsOf(other, () => random() < 0.15);
          const pins = new Map(pinned ? [[0, Math.floor(random() * size)]] : []);
          const found = bestRelabelling(table, known, pins);
          expect(found.exact).toBe(true);
          expect(found.differs).toBe(bruteForce(table, known, pins));
          expect([...found.to].sort((a, b) => a - b)).toEqual(found.to.map((_, at) => at));
          for (const [a, p] of pins) expect(found.to[a]).toBe(p);
        },
      ),
      { numRuns: runs(60) },
    );
  });

  it('equals brute force on eight terminals too', () => {
    const [kind] = kindsOf(8, 3);
    if (!kind) throw new Error('no such kind');
    for (const seed of [1, 2, 3]) {
      const random = seededRandom(seed);
      const other = relabel(kind.pattern, shuffled([0, 1, 2, 3, 4, 5, 6, 7], random));
      const known = cellsOf(other, () => random() < 0.1);
      (known[0] as (boolean | null)[])[1] = (known[0] as (boolean | null)[])[8] = true;
      expect(bestRelabelling(kind.pattern, known).differs).toBe(bruteForce(kind.pattern, known, new Map()));
    }
  });

  it('leaves the terminals as they are where that fits as well, and finds its way in a large switch', () => {
    const [kind] = kindsOf(24, 3);
    if (!kind) throw new Error('no such kind');
    const { pattern } = kind;
    const same = pattern[0]?.map((_, at) => at) ?? [];
    expect(bestRelabelling(pattern, cellsOf(pattern))).toMatchObject({ to: same, differs: 0 });
    const other = relabel(pattern, shuffled(same, seededRandom(5)));
    expect(bestRelabelling(pattern, cellsOf(other)).differs).toBe(0);
  });
});

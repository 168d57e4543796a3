import { describe, expect, it } from 'vitest';
import type { Partition, Pattern } from '../../partition/index.js';
import { blankField, runCourse } from '../schools/course.js';
import { byTime } from '../schools/by-time.js';
import { EMPTY_HANDS, ORDINARY_HANDS } from '../hands/hands.js';
import { headsOf } from '../field/field.js';
import { ladder } from '../schools/ladder.js';
import { likelyFirst, pairFirst, positionFirst } from '../schools/plain-schools.js';
import { type Planner } from '../schools/situation.js';

/** One setting mapped by a planner that owns no end of clips. */
function mapped(truth: Partition, planner: Planner) {
  const field = blankField(truth.length, 1);
  const costs = { ...ORDINARY_HANDS, clipsOwned: 24 };
  const joined = (_: number, a: number, b: number) => truth[a] === truth[b];
  return { field, ...runCourse(field, { hands: EMPTY_HANDS, costs, planner, joined }, { deep: true }) };
}

describe('position-first', () => {
  /** Least mean number of probes for one setting, over all partitions taken as equally likely: exact, over all knowledge. */
  function leastProbes(size: number): number {
    const all = partitionsOf(size);
    const memo = new Map<string, number>();
    const best = (left: number[]): number => {
      if (left.length <= 1) return 0;
      const key = left.join();
      const known = memo.get(key);
      if (known !== undefined) return known;
      let least = Infinity;
      for (let a = 0; a < size; a += 1)
        for (let b = a + 1; b < size; b += 1) {
          const joined = left.filter((one) => all[one]?.[a] === all[one]?.[b]);
          if (joined.length === 0 || joined.length === left.length) continue;
          const apart = left.filter((one) => !joined.includes(one));
          least = Math.min(least, left.length + best(joined) + best(apart));
        }
      memo.set(key, least);
      return least;
    };
    return best(all.map((_, index) => index)) / all.length;
  }

  it('takes in a first setting the fewest probes there are, in the mean over all partitions (exact search)', () => {
    for (const size of [2, 3, 4]) {
      const all = partitionsOf(size);
      const probes = all.map((truth) => mapped(truth, positionFirst).readings);
      expect(probes.reduce((sum, one) => sum + one, 0) / all.length).toBeCloseTo(leastProbes(size), 9);
    }
  });
});

/** All partitions of a set, by restricted growth strings (Knuth, The Art of Computer Programming 4A, 7.2.1.5). */
function partitionsOf(size: number): Pattern {
  let strings: number[][] = [[0]];
  for (let at = 1; at < size; at += 1)
    strings = strings.flatMap((string) =>
      Array.from({ length: Math.max(...string) + 2 }, (_, next) => [...string, next]),
    );
  return strings.map((string) => string.map((block) => string.indexOf(block)));
}

describe('the number of maps', () => {
  it('is the Bell number, by nets the Stirling number of the second kind (from memory: 1 2 5 15 52 203; S(6,3) = 90)', () => {
    expect([1, 2, 3, 4, 5, 6].map((size) => partitionsOf(size).length)).toEqual([1, 2, 5, 15, 52, 203]);
    const byNets = (size: number, nets: number) =>
      partitionsOf(size).filter((truth) => new Set(truth).size === nets).length;
    expect([1, 2, 3, 4, 5, 6].map((nets) => byNets(6, nets))).toEqual([1, 31, 90, 65, 15, 1]);
  });

  it('is told apart whole: every one of the 52 maps of five terminals is found by every planner', () => {
    for (const planner of [positionFirst, pairFirst, likelyFirst, byTime, ladder])
      for (const truth of partitionsOf(5)) {
        const { field } = mapped(truth, planner);
        expect(headsOf(field, 0)).toHaveLength(new Set(truth).size);
      }
  });
});

describe('the ladder', () => {
  it('goes on by time, the first setting by itself, where so many bundles were low that pairs are worth more', () => {
    const ask = (low: number) => {
      const field = { ...blankField(8, 2), bundles: { all: 8, low } };
      return ladder({
        field,
        hands: { ...EMPTY_HANDS, setting: 1 },
        costs: { ...ORDINARY_HANDS, clipsOwned: 8 },
        chance: () => 0.1,
      });
    };
    // The first rung is a pair too, and is held through both settings.
    expect(ask(0)).toMatchObject({ kind: 'hold', black: [1], settings: [1, 0] });
    const pair = ask(8);
    expect(pair?.kind === 'sweep' ? [pair.setting] : pair?.settings).toEqual([1]);
  });
});

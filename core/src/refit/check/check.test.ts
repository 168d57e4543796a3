import Logic from 'logic-solver';
import { describe, expect, it } from 'vitest';
import { partitionFromGroups } from '../../partition/index.js';
import { seededRandom } from '../../switch/index.js';
import { BitSet } from '../../grid/index.js';
import { coverOf } from './cover.js';
import {
  checkOf,
  joinedWith,
  likelyMistakes,
  mistakesOf,
  splittingReading,
  type Bench,
  type Mistake,
} from '../index.js';
import { anyBench } from '../../testing/benches.js';
import { fewSeeds } from '../../testing/runs.js';

/** A switch put back: lugs, what joins by position, the lug of each wire, junctions. */
function bench(lugs: number, positions: string[], at: number[], jumpers: [number, number][] = []): Bench {
  const nets = positions.map((joined) =>
    partitionFromGroups(
      lugs,
      joined
        .split(' ')
        .filter(Boolean)
        .map((net) => net.split('-').map(Number)),
    ),
  );
  return { ...{ lugs, at, jumpers, nets }, strays: [] };
}

/** Whether any reading at all could show a mistake, by looking at every one. */
function canShow(one: Bench, mistake: Mistake): boolean {
  return one.nets.some((_, position) => {
    const [right, wrong] = [joinedWith(one, position, null), joinedWith(one, position, mistake)];
    return (
      right !== null &&
      wrong !== null &&
      right.some((_root, a) => right.some((_other, b) => (right[a] === right[b]) !== (wrong[a] === wrong[b])))
    );
  });
}

describe('the check before power', () => {
  it('shows every single mistake on 80 switches, or says that nothing can show it', () => {
    let shown = 0;
    for (let seed = 1; seed <= 80; seed += 1) {
      const one = anyBench(seed);
      const { readings, cannot, atLeast } = checkOf(one);
      expect(readings.length).toBeGreaterThanOrEqual(atLeast);
      for (const mistake of mistakesOf(one)) {
        const shows = readings.some(({ position, a, b, joins }) => {
          const nets = joinedWith(one, position, mistake);
          return nets !== null && (nets[a] === nets[b]) !== joins;
        });
        const named = cannot.some((other) => JSON.stringify(other) === JSON.stringify(mistake));
        expect(shows).toBe(!named);
        expect(named).toBe(!canShow(one, mistake));
        if (shows) shown += 1;
      }
    }
    expect(shown).toBeGreaterThan(1500);
  });

  it('passes when all is as it should be, and names the mistake that was made among the likely ones', () => {
    for (const seed of fewSeeds(101, 130)) {
      const one = anyBench(seed);
      const { readings, cannot } = checkOf(one);
      const readWith = (mistake: Mistake | null) =>
        readings.flatMap((reading) => {
          const nets = joinedWith(one, reading.position, mistake);
          return nets ? [{ ...reading, read: nets[reading.a] === nets[reading.b] }] : [];
        });
      expect(likelyMistakes(one, readWith(null))).toBeNull();
      for (const mistake of mistakesOf(one)) {
        const likely = likelyMistakes(one, readWith(mistake));
        if (cannot.some((other) => JSON.stringify(other) === JSON.stringify(mistake))) continue;
        expect(likely).toContainEqual(mistake);
      }
    }
  });

  it('a reading that splits the likely ones is found exactly where there is one that does, on 30 switches', () => {
    let split = 0;
    for (let seed = 201; seed <= 230; seed += 1) {
      const one = anyBench(seed);
      const random = seededRandom(seed);
      const likely = mistakesOf(one).filter(() => random() < 0.15);
      const left = (joins: boolean, { position, a, b }: { position: number; a: number; b: number }) =>
        likely.filter((mistake) => {
          const nets = joinedWith(one, position, mistake);
          return nets === null || (nets[a] === nets[b]) === joins;
        }).length;
      const worst = (reading: { position: number; a: number; b: number }) =>
        Math.max(left(true, reading), left(false, reading));
      const size = one.at.length + one.lugs;
      const all = one.nets.flatMap((_, position) =>
        Array.from({ length: size * size }, (_each, at) => ({
          ...{ position, a: Math.floor(at / size), b: at % size },
        })),
      );
      const least = Math.min(...all.filter(({ a, b }) => a < b).map(worst));
      const found = splittingReading(one, likely);
      if (likely.length < 2 || least === likely.length) expect(found).toBeNull();
      else {
        expect(found && worst(found)).toBe(least);
        split += 1;
      }
    }
    expect(split).toBeGreaterThan(15);
  });

  it('two switched ways with a wire each: a few readings tell a swapped pair from a wire that is off', () => {
    const one = bench(3, ['0-1', '0-2'], [0, 1, 2]);
    const { readings, cannot, atLeast } = checkOf(one);
    expect(cannot).toEqual([]);
    expect([readings.length, atLeast]).toEqual([4, 4]);
    const swapped: Mistake = { kind: 'swapped', wires: [1, 2] };
    const done = readings.map((reading) => {
      const nets = joinedWith(one, reading.position, swapped) ?? [];
      return { ...reading, read: nets[reading.a] === nets[reading.b] };
    });
    expect(likelyMistakes(one, done)).toContainEqual(swapped);
  });

  it('a junction that another junction stands in for is named: nothing can show it', () => {
    const ring = bench(3, [''], [0], [[0, 1], [1, 2], [0, 2]]); // prettier-ignore
    const { cannot } = checkOf(ring);
    expect(cannot.filter(({ kind }) => kind === 'jumper-forgotten')).toHaveLength(3);
    // All three lugs are one: on which of them the wire sits nothing can show, and that it sits on one, a reading does.
    expect(cannot.filter(({ kind }) => kind === 'wrong-lug')).toHaveLength(2);
    expect(cannot).toHaveLength(5);
  });

  it('nothing is measured where what joins is not known', () => {
    const unknown: Bench = {
      ...bench(3, ['0-1', '0-2'], [0, 1, 2]),
      nets: [partitionFromGroups(3, [[0, 1]]), null],
    };
    const { readings, cannot } = checkOf(unknown);
    expect(readings.every(({ position }) => position === 0)).toBe(true);
    // The first two lugs are joined in all that is known: their wires cannot be told apart.
    expect(cannot).toEqual([
      { kind: 'wrong-lug', wire: 0, lug: 1 },
      { kind: 'wrong-lug', wire: 1, lug: 0 },
      { kind: 'swapped', wires: [0, 1] },
      { kind: 'detent-off', by: 1 },
      { kind: 'detent-off', by: -1 },
    ]);
  });
});

describe('the fewest columns that cover all rows', () => {
  /** Whether so few columns can cover all rows, by a SAT solver (logic-solver, a wrapper of MiniSat). */
  function satCovers(columns: readonly number[][], rows: number, most: number): boolean {
    const solver = new Logic.Solver();
    const names = columns.map((_, at) => `c${at}`);
    for (let row = 0; row < rows; row += 1)
      solver.require(Logic.or(names.filter((_, at) => columns[at]?.includes(row))));
    solver.require(Logic.lessThanOrEqual(Logic.sum(names), Logic.constantBits(most)));
    return solver.solve() !== null;
  }

  it('are as few as a SAT solver finds', () => {
    for (const seed of fewSeeds(1, 40)) {
      const random = seededRandom(seed);
      const rows = 6 + Math.floor(random() * 12);
      const columns = Array.from({ length: 14 }, () =>
        Array.from({ length: rows }, (_, row) => row).filter(() => random() < 0.3),
      );
      columns.push(
        Array.from({ length: rows }, (_, row) => row).filter(
          (row) => !columns.some((one) => one.includes(row)),
        ),
      );
      const found = coverOf(
        columns.map((one) => BitSet.of(rows, one)),
        rows,
      );
      expect(found.atLeast).toBe(found.columns.length);
      expect(new Set(found.columns.flatMap((at) => columns[at] ?? [])).size).toBe(rows);
      expect(satCovers(columns, rows, found.columns.length)).toBe(true);
      expect(satCovers(columns, rows, found.columns.length - 1)).toBe(false);
    }
  });
});

import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { partitionFromGroups, type Pattern } from '../../partition/index.js';
import { seededRandom } from '../../switch/index.js';
import { runs } from '../../testing/runs.js';
import { withCause, type Cause } from './cause.js';
import { contactsOf } from './causes.js';
import { diagnose, type Diagnosis, type KnownCells } from './diagnose.js';

const nets = (size: number, ...settings: number[][][]): Pattern =>
  settings.map((groups) => partitionFromGroups(size, groups));

const rowOf = ([first]: Pattern) => [(first ?? []).map((_, place) => place)];

/** What is known of a pattern, with a share of its cells left out, and perhaps one cell read wrong. */
function cellsOf(pattern: Pattern, random: () => number, share = 0): (boolean | null)[][] {
  const size = pattern[0]?.length ?? 0;
  return pattern.map((partition) => {
    const cells = new Array<boolean | null>(size * size).fill(null);
    for (let a = 0; a < size; a += 1)
      for (let b = a + 1; b < size; b += 1) {
        const is = random() < share ? null : partition[a] === partition[b];
        cells[a * size + b] = cells[b * size + a] = is;
      }
    return cells;
  });
}

/** Whether a class shows on the known cells what the true table shows. */
function isTrue(found: Diagnosis['classes'][number] | undefined, truth: Pattern, known: KnownCells): boolean {
  const size = truth[0]?.length ?? 0;
  return (
    found !== undefined &&
    truth.every((partition, at) => {
      const told = found.table[at] as Pattern[number];
      for (let a = 0; a < size; a += 1)
        for (let b = a + 1; b < size; b += 1)
          if (
            (known[at] ?? [])[a * size + b] !== null &&
            (partition[a] === partition[b]) !== (told[a] === told[b])
          )
            return false;
      return true;
    })
  );
}

/** The corpus that nothing was tuned on; the figures of both are printed by `npm run bench`. */
const { cases: drawn } = JSON.parse(
  readFileSync(new URL('../../../../tools/planning/diagnosis-b.json', import.meta.url), 'utf8'),
) as { cases: DrawnCase[] };

interface DrawnCase {
  family: string;
  pattern: Pattern;
  one: { cause: Cause; truth: Pattern };
  two: { truth: Pattern } | null;
  other: { truth: Pattern } | null;
}

/** Large switches take a while: they are for the deep tests and the bench. */
const cases = drawn
  .filter(({ pattern }) => runs(1) > 1 || (pattern[0]?.length ?? 0) * pattern.length <= 80)
  .map(({ pattern, one, two, other }) => ({ pattern, ...one, two, other }));

describe('one thing wrong with a switch', () => {
  it('is in the first class in every case, over switches of a dozen families and more', () => {
    expect(new Set(drawn.map(({ family }) => family)).size).toBeGreaterThanOrEqual(12);
    expect(drawn.length).toBeGreaterThanOrEqual(60);
    const sizes: number[] = [];
    for (const { pattern, truth, cause } of cases) {
      const known = cellsOf(truth, () => 1);
      const { classes } = diagnose(pattern, known, rowOf(pattern));
      expect([cause, isTrue(classes[0], truth, known), classes[0]?.leaves]).toEqual([cause, true, []]);
      sizes.push(classes[0]?.explanations.length ?? 0);
    }
    const alone = sizes.filter((size) => size === 1).length / sizes.length;
    console.log(
      `diagnosis: ${cases.length} cases, alone in its class ${(100 * alone).toFixed(0)} %, largest class ${Math.max(...sizes)}`,
    );
    expect(alone).toBeGreaterThan(0.2);
  });

  it('is in the first class nearly always with a tenth of the cells unknown, and among the first three with one reading wrong', () => {
    const random = seededRandom(7);
    let first = 0;
    let amongThree = 0;
    for (const { pattern, truth } of cases) {
      const known = cellsOf(truth, random, 0.1);
      const agrees = diagnose(pattern, known, rowOf(pattern));
      // With the cells that differ unknown, nothing is known to differ.
      if (agrees.classes.length === 0 || isTrue(agrees.classes[0], truth, known)) first += 1;
      const size = truth[0]?.length ?? 0;
      const wrong = cellsOf(truth, () => 1);
      const [setting, a] = [Math.floor(random() * truth.length), Math.floor(random() * (size - 1))];
      const cells = wrong[setting] as (boolean | null)[];
      cells[a * size + a + 1] = cells[(a + 1) * size + a] = !cells[a * size + a + 1];
      const { classes } = diagnose(pattern, wrong, rowOf(pattern));
      const whole = cellsOf(truth, () => 1);
      if (classes.length === 0 || classes.slice(0, 3).some((one) => isTrue(one, truth, whole)))
        amongThree += 1;
    }
    console.log(
      `diagnosis: a tenth unknown ${first} of ${cases.length}, one reading wrong ${amongThree} of ${cases.length}`,
    );
    expect(first / cases.length).toBeGreaterThanOrEqual(0.99);
    expect(amongThree / cases.length).toBeGreaterThanOrEqual(0.98);
  });

  it('says nothing where nothing differs, and nothing of what nobody knows', () => {
    const { pattern } = cases[0] as (typeof cases)[number];
    expect(
      diagnose(
        pattern,
        cellsOf(pattern, () => 1),
        [],
      ).classes,
    ).toEqual([]);
    expect(
      diagnose(
        pattern,
        cellsOf(pattern, () => 0, 1),
        [],
      ).classes,
    ).toEqual([]);
  });

  it('one detent off: says so with its ties, and which reading would tell them apart', () => {
    const fan = nets(5, [], [[0, 1]], [[0, 2]], [[0, 3]], [[0, 4]]);
    const truth = withCause(fan, contactsOf(fan), { cause: 'shifted', by: -1 });
    const all = diagnose(
      fan,
      cellsOf(truth, () => 1),
      [],
    );
    expect(all.classes[0]?.explanations[0]).toEqual([{ cause: 'shifted', by: -1 }]);
    expect(all.telling).toBeNull();
    // Of one position of three nothing more is known than that the other throw is closed: much may be the cause.
    const selector = nets(4, [[0, 1]], [[0, 2]], [[0, 3]]);
    const little = cellsOf(selector, () => 0, 1);
    for (const [b, joined] of [
      [1, false],
      [2, true],
    ] as const)
      (little[0] as (boolean | null)[])[b] = joined;
    const { telling, classes } = diagnose(selector, little, rowOf(selector));
    expect(classes[0]?.explanations.length).toBeGreaterThan(1);
    expect(telling?.bits).toBeGreaterThan(0.5);
  });
});

describe('two things wrong, or a fault of other contacts', () => {
  const isFirst = (pattern: Pattern, truth: Pattern) => {
    const known = cellsOf(truth, () => 1);
    const { classes } = diagnose(pattern, known, rowOf(pattern));
    return classes.length === 0 || isTrue(classes[0], truth, known);
  };
  const share = (hits: boolean[]) => hits.filter(Boolean).length / hits.length;

  it('are in the first class nearly always, or a single cause shows the same', () => {
    const two = cases.flatMap(({ pattern, two: both }) => (both ? [isFirst(pattern, both.truth)] : []));
    expect(two.length).toBeGreaterThan(20);
    expect(share(two)).toBeGreaterThanOrEqual(0.97);
  });

  it('a fault of a contact that another set of contacts has is found as well', () => {
    const others = cases.flatMap(({ pattern, other }) => (other ? [isFirst(pattern, other.truth)] : []));
    expect(others.length).toBeGreaterThan(20);
    expect(share(others)).toBeGreaterThanOrEqual(0.95);
  });
});

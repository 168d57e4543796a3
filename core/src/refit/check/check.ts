import { BitSet } from '../../grid/index.js';
import { chooseReadings, type HeardCheck } from './choose.js';
import { coverOf } from './cover.js';
import { joinedWith, mistakesOf, nodesOf, type Bench, type Mistake } from './mistakes.js';
import { Shows } from './shows.js';

/** A reading of the check before power: two places, in a position, and what must be read. */
export interface CheckReading {
  position: number;
  a: number;
  b: number;
  joins: boolean;
}

/** The readings after which any single mistake would have shown, and those that none can show. */
export interface Check {
  readings: CheckReading[];
  /** No check has fewer readings. */
  atLeast: number;
  cannot: Mistake[];
}

interface Candidate extends CheckReading {
  shows: BitSet;
}

/**
 * The fewest readings at lugs or far wire ends, all of them freed, that would show any single mistake.
 * @example
 * const bench = { lugs: 2, at: [0, 1], jumpers: [], strays: [], nets: [[0, 1], [0, 0]] };
 * checkOf(bench).readings.length // => 3
 */
export function checkOf(bench: Bench, heard?: HeardCheck): Check {
  if (isLarge(bench)) {
    const shows = new Shows(bench);
    const { readings, atLeast, left } = chooseReadings(shows, heard);
    const told = readings.map((one): CheckReading => ({ ...one, joins: shows.joins(one) === true }));
    return { atLeast, cannot: shows.sets.mistakes(left), readings: inOrder(told) };
  }
  return smallCheckOf(bench);
}

const inOrder = (readings: readonly CheckReading[]): CheckReading[] =>
  readings.toSorted((one, other) => one.position - other.position || one.a - other.a || one.b - other.b);

/** More places to measure at, over all positions, than this: every set of mistakes is not written out. */
const MOST_PLACES = 600;

const isLarge = (bench: Bench): boolean => nodesOf(bench) * bench.nets.length > MOST_PLACES;

/** The same where all readings can be compared with one another. */
function smallCheckOf(bench: Bench): Check {
  const mistakes = mistakesOf(bench);
  const candidates = candidatesOf(bench, new Shows(bench), mistakes.length);
  const shown = BitSet.of(mistakes.length);
  for (const { shows } of candidates) shown.addAll(shows);
  const rows = mistakes.flatMap((_, at) => (shown.has(at) ? [at] : []));
  const whole = rows.length === mistakes.length;
  const columns = candidates.map(({ shows }) =>
    whole
      ? shows
      : BitSet.of(
          rows.length,
          rows.flatMap((mistake, row) => (shows.has(mistake) ? [row] : [])),
        ),
  );
  const { columns: chosen, atLeast } = coverOf(columns, rows.length);
  const known = new Set(rows);
  return {
    atLeast,
    cannot: mistakes.filter((_, at) => !known.has(at)),
    readings: inOrder(
      chosen
        .map((at) => candidates[at] as Candidate)
        .map(({ position, a, b, joins }) => ({ position, a, b, joins })),
    ),
  };
}

/** Every reading that shows some mistake; of those that show the same ones, the first. */
function candidatesOf(bench: Bench, shows: Shows, many: number): Candidate[] {
  const found = new Map<string, Candidate>();
  const size = nodesOf(bench);
  for (let position = 0; position < bench.nets.length; position += 1)
    for (let a = 0; a < size; a += 1)
      for (let b = a + 1; b < size; b += 1) {
        const joins = shows.joins({ position, a, b });
        const places = joins === null ? [] : shows.places({ position, a, b });
        if (joins === null || places.length === 0) continue;
        const set = BitSet.of(many, places);
        const key = set.key();
        if (!found.has(key)) found.set(key, { position, a, b, joins, shows: set });
      }
  return [...found.values()];
}

/** A reading with what was read. */
export interface CheckDone extends CheckReading {
  read: boolean;
}

/** Single mistakes that explain all that was read; null: what was read is as it should be. */
export function likelyMistakes(bench: Bench, done: readonly CheckDone[]): Mistake[] | null {
  if (done.every(({ joins, read }) => joins === read)) return null;
  return mistakesOf(bench).filter((mistake) =>
    done.every(({ position, a, b, read }) => {
      const nets = joinedWith(bench, position, mistake);
      return nets !== null && (nets[a] === nets[b]) === read;
    }),
  );
}

/**
 * The reading that tells mistakes apart best: the one after which the fewest of them are left in the worst case, of those alike one at
 * lugs rather than at far ends. What a mistake makes of a position is not known where it puts the handle out of reach: that one is left by
 * either answer. null: none tells them apart, or there is but one.
 */
export function splittingReading(bench: Bench, mistakes: readonly Mistake[]): CheckReading | null {
  if (mistakes.length < 2) return null;
  const size = nodesOf(bench);
  let best: { reading: CheckReading; worst: number } | null = null;
  for (let position = 0; position < bench.nets.length; position += 1) {
    const right = joinedWith(bench, position, null);
    const wrong = mistakes.map((mistake) => joinedWith(bench, position, mistake));
    if (!right) continue;
    for (let b = size - 1; b > 0; b -= 1)
      for (let a = b - 1; a >= 0; a -= 1) {
        const joined = wrong.filter((nets) => nets === null || nets[a] === nets[b]).length;
        const apart = wrong.filter((nets) => nets === null || nets[a] !== nets[b]).length;
        const worst = Math.max(joined, apart);
        if (worst < (best?.worst ?? mistakes.length))
          best = { reading: { position, a, b, joins: right[a] === right[b] }, worst };
      }
  }
  return best?.reading ?? null;
}

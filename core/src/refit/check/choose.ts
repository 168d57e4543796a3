import { seededRandom, shuffled } from '../../switch/index.js';
import type { Mistake } from './mistakes.js';
import type { Shows, Taken } from './shows.js';

/** Hears how far the search is: 0 to 1. It may throw to end it. */
export type HeardCheck = (done: number) => void;

/** Readings that show all that can be shown, and how many it takes at least. */
export interface Chosen {
  readings: Taken[];
  atLeast: number;
  /** What no reading shows, as a set. */
  left: Int32Array;
}

/** Sets of mistakes that are looked at, over all tries, times their words: after so many no further try begins. */
const MOST_WORK = 3e7;

/**
 * Few readings that show all mistakes that can be shown: the one that shows the most first, or the mistake first that is hardest to show,
 * in several orders; each without what the others make needless, and with one reading for two where one does. How good that is says the
 * bound: mistakes no two of which one reading shows.
 */
export function chooseReadings(shows: Shows, heard: HeardCheck = () => undefined): Chosen {
  const readings = [...shows.readings()];
  const all = shows.sets.all();
  const first = new Int32Array(readings.length);
  const left = all.slice();
  for (const [at, reading] of readings.entries()) {
    first[at] = shows.shown(reading, all);
    if (first[at] > 0) shows.take(reading, left);
    if (at % 4096 === 0) heard((0.1 * at) / readings.length);
  }
  const wanted = without(all, left, left);
  const orders = ordersOf(shows, wanted);
  const bounds = orders.map((order, turn) => {
    heard(0.1 + (0.4 * turn) / orders.length);
    return boundOf(shows, order, wanted);
  });
  const atLeast = Math.max(0, ...bounds);
  const tries = [
    ...orders.map((order) => () => hardestFirst(shows, order, wanted)),
    ...[0, 1, 2].map((turn) => () => mostFirst(shows, readings, first, wanted, turn)),
  ];
  let best: Taken[] | null = null;
  const before = shows.work;
  for (const [turn, attempt] of tries.entries()) {
    heard(0.5 + (0.4 * turn) / tries.length);
    const kept = merged(shows, withoutSpare(shows, attempt(), wanted), wanted);
    if (!best || kept.length < best.length) best = kept;
    if (best.length <= atLeast || shows.work - before > MOST_WORK) break;
  }
  if (best && best.length > atLeast)
    best = improved(shows, best, {
      order: orders[0] as Mistake[],
      wanted,
      atLeast,
      until: before + MOST_WORK,
      heard,
    });
  heard(1);
  return { readings: best ?? [], atLeast: Math.min(atLeast, best?.length ?? 0), left };
}

interface Improving {
  order: readonly Mistake[];
  wanted: Int32Array;
  atLeast: number;
  /** The work after which it ends. */
  until: number;
  heard: HeardCheck;
}

/** After so many turns in a row that brought nothing it ends. */
const PATIENCE = 400;

/** So many readings are taken out at once. */
const [FEWEST_OUT, MOST_OUT] = [3, 9];

/**
 * Takes some readings out, those that share wires, and shows what is left anew; what takes no more readings is kept (large
 * neighbourhood search). Seeded: the same bench gets the same readings.
 */
function improved(shows: Shows, from: readonly Taken[], of: Improving): Taken[] {
  const { order, wanted, atLeast, until, heard } = of;
  const random = seededRandom(1);
  const began = shows.work;
  let [kept, idle] = [[...from], 0];
  for (let turn = 0; kept.length > atLeast && idle < PATIENCE && shows.work < until; turn += 1) {
    if (turn % 64 === 0) heard(0.9 + (0.1 * (shows.work - began)) / (until - began));
    const out = neighbours(kept, FEWEST_OUT + Math.floor(random() * (MOST_OUT - FEWEST_OUT)), random);
    const rest = kept.filter((one) => !out.has(one));
    const left = wanted.slice();
    for (const one of rest) shows.take(one, left);
    const some = hardestFirst(shows, order, left, random);
    const anew = withoutSpare(shows, [...rest, ...some], wanted);
    idle = anew.length < kept.length ? 0 : idle + 1;
    if (anew.length <= kept.length) kept = anew;
  }
  return kept;
}

/** A reading by chance, and others that are nearest to it: by the wires that they share, then by chance. */
function neighbours(kept: readonly Taken[], many: number, random: () => number): Set<Taken> {
  const first = kept[Math.floor(random() * kept.length)] as Taken;
  const out = new Set([first]);
  const ends = new Set([first.a, first.b]);
  const mixedUp = shuffled(kept, random);
  while (out.size < Math.min(many, kept.length)) {
    const next =
      mixedUp.find((one) => !out.has(one) && (ends.has(one.a) || ends.has(one.b))) ??
      (mixedUp.find((one) => !out.has(one)) as Taken);
    out.add(next);
    ends.add(next.a).add(next.b);
  }
  return out;
}

/**
 * The mistake that is hardest to show, by the reading that shows the most besides; then the next that is left. By chance it takes one
 * that shows almost as much.
 */
function hardestFirst(
  shows: Shows,
  order: readonly Mistake[],
  wanted: Int32Array,
  random: (() => number) | null = null,
): Taken[] {
  const left = wanted.slice();
  const chosen: Taken[] = [];
  for (const mistake of order) {
    if (!shows.sets.isIn(mistake, left)) continue;
    let best: { reading: Taken; shown: number } | null = null;
    for (const reading of shows.readingsFor(mistake)) {
      if (!shows.isShown(reading, mistake)) continue;
      const shown = shows.shown(reading, left) * (random ? 0.7 + 0.3 * random() : 1);
      if (shown > (best?.shown ?? 0)) best = { reading, shown };
    }
    if (!best) continue;
    chosen.push(best.reading);
    shows.take(best.reading, left);
  }
  return chosen;
}

/** Readings by how many mistakes they may still show: the most is looked at first, and again where it shows fewer by now. */
class Ranked {
  readonly #by: number[][] = [];

  add(at: number, shown: number): void {
    (this.#by[shown] ??= []).push(at);
  }

  /** The next of those that may show the most, with how many that is; null: none shows anything. */
  next(): { at: number; shown: number } | null {
    for (;;) {
      const shown = this.#by.length - 1;
      if (shown < 1) return null;
      const at = this.#by[shown]?.pop();
      if (at !== undefined) return { at, shown };
      this.#by.pop();
    }
  }
}

/** The reading that shows the most of what is left, again and again; each turn has another order of those that show as much. */
function mostFirst(
  shows: Shows,
  readings: readonly Taken[],
  first: Int32Array,
  wanted: Int32Array,
  turn: number,
): Taken[] {
  const ranked = new Ranked();
  const many = readings.length;
  // What is added last is looked at first.
  const start = Math.floor((many * turn) / 3);
  for (let count = many - 1; count >= 0; count -= 1) {
    const at = (start + count) % many;
    if ((first[at] as number) > 0) ranked.add(at, first[at] as number);
  }
  const left = wanted.slice();
  const chosen: Taken[] = [];
  for (let next = ranked.next(); next; next = ranked.next()) {
    const reading = readings[next.at] as Taken;
    const now = shows.shown(reading, left);
    if (now < next.shown) {
      if (now > 0) ranked.add(next.at, now);
      continue;
    }
    chosen.push(reading);
    shows.take(reading, left);
  }
  return chosen;
}

/** What each of some readings shows, as sets. */
const setsOf = (shows: Shows, chosen: readonly Taken[], wanted: Int32Array): Int32Array[] =>
  chosen.map((one) => {
    const set = new Int32Array(wanted.length);
    shows.take(one, set, true);
    return set;
  });

/** Takes one set into another. */
function add<Set extends Int32Array>(into: Set, set: Int32Array): Set {
  for (let at = 0; at < into.length; at += 1) into[at] = (into[at] as number) | (set[at] as number);
  return into;
}

/** What is wanted and in neither of two sets. */
const without = (wanted: Int32Array, one: Int32Array, other: Int32Array): Int32Array =>
  wanted.map((word, at) => word & ~((one[at] as number) | (other[at] as number)));

/** All that the readings from each place on show: at the end nothing. */
function fromEach(sets: readonly Int32Array[], size: number): Int32Array[] {
  const all = [new Int32Array(size)];
  for (const set of sets.toReversed()) all.unshift(add((all[0] as Int32Array).slice(), set));
  return all;
}

/** The same without readings that the others make needless, the last first. */
function withoutSpare(shows: Shows, chosen: readonly Taken[], wanted: Int32Array): Taken[] {
  const sets = setsOf(shows, chosen, wanted);
  const before = fromEach(sets.toReversed(), wanted.length).toReversed();
  const after = new Int32Array(wanted.length);
  const kept: Taken[] = [];
  for (let at = chosen.length - 1; at >= 0; at -= 1) {
    const needless = without(wanted, before[at] as Int32Array, after).every((word) => word === 0);
    if (needless) continue;
    add(after, sets[at] as Int32Array);
    kept.unshift(chosen[at] as Taken);
  }
  return kept;
}

/** The same with one reading in the place of two, wherever one shows all that only those two show. */
function merged(shows: Shows, chosen: readonly Taken[], wanted: Int32Array): Taken[] {
  const kept = [...chosen];
  for (;;) {
    const found = oneForTwo(shows, kept, wanted);
    if (!found) return kept;
    const [one, other, instead] = found;
    kept.splice(other, 1);
    kept.splice(one, 1, instead);
  }
}

function oneForTwo(
  shows: Shows,
  kept: readonly Taken[],
  wanted: Int32Array,
): [one: number, other: number, instead: Taken] | null {
  const sets = setsOf(shows, kept, wanted);
  const after = fromEach(sets, wanted.length);
  const before = new Int32Array(wanted.length);
  for (let one = 0; one < kept.length; one += 1) {
    const others = before.slice();
    for (let other = one + 1; other < kept.length; other += 1) {
      const left = without(wanted, others, after[other + 1] as Int32Array);
      const reading = oneThatShows(shows, left);
      if (reading) return [one, other, reading];
      add(others, sets[other] as Int32Array);
    }
    add(before, sets[one] as Int32Array);
  }
  return null;
}

/** A reading that shows all of a set: at the far ends of all wires of which it has moves. */
function oneThatShows(shows: Shows, set: Int32Array): Taken | null {
  const [wire, second, ...more] = shows.sets.movedIn(set);
  if (wire === undefined || more.length > 0) return null;
  const whole = shows.sets.count(set);
  const among = second === undefined ? shows.readingsOf(wire) : shows.readingsBetween(wire, second);
  for (const reading of among) if (shows.shown(reading, set) >= whole) return reading;
  return null;
}

/** How mistakes that are as hard to show follow one another: each gives another try, and another bound. */
const TIES = [
  (one: number, other: number) => one - other,
  (one: number, other: number) => other - one,
  (one: number, other: number) => mixed(one) - mixed(other),
  (one: number, other: number) => mixed(other) - mixed(one),
];
const mixed = (at: number): number => Math.imul(at + 1, 0x9e3779b1) >>> 0;

/** The mistakes of a set, those first that few readings show. */
function ordersOf(shows: Shows, wanted: Int32Array): Mistake[][] {
  const mistakes = shows.sets.mistakes(wanted);
  const eases = mistakes.map((mistake) => shows.easeOf(mistake));
  const places = mistakes.map((_, at) => at);
  return TIES.map((tie) =>
    places
      .toSorted((one, other) => {
        const [a, b] = [eases[one] as number, eases[other] as number];
        return a === b ? tie(one, other) : a - b;
      })
      .map((place) => mistakes[place] as Mistake),
  );
}

/** How many mistakes there are no two of which one reading shows: so many readings it takes at least. */
function boundOf(shows: Shows, order: readonly Mistake[], wanted: Int32Array): number {
  const blocked = wanted.slice();
  let count = 0;
  for (const mistake of order) {
    if (!shows.sets.isIn(mistake, blocked)) continue;
    count += 1;
    for (const reading of shows.readingsFor(mistake))
      if (shows.isShown(reading, mistake)) shows.take(reading, blocked);
  }
  return count;
}

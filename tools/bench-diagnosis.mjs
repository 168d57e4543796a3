// The diagnosis on the frozen corpora: how often the true cause's class is first, how large classes are, how long it takes.
import { sample } from './bench-size.mjs';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { performance } from 'node:perf_hooks';
import { kindsOf } from '@which-way/core/kinds';
import { partitionFromGroups } from '@which-way/core/partition';
import { seededRandom } from '@which-way/core/switch';
import { oddities } from '@which-way/core/table';
import { contactsOf, diagnose, withCause } from '@which-way/core/verify';

/** What is known of a table, a share of it left out. */
function cellsOf(pattern, random, share) {
  const size = pattern[0].length;
  return pattern.map((partition) => {
    const cells = new Array(size * size).fill(null);
    for (let a = 0; a < size; a += 1)
      for (let b = a + 1; b < size; b += 1)
        if (random() >= share) cells[a * size + b] = cells[b * size + a] = partition[a] === partition[b];
    return cells;
  });
}

/** Whether a class shows what the true table shows, on the known cells. */
function shows({ table }, truth, known) {
  const size = truth[0].length;
  return truth.every((partition, at) => {
    for (let a = 0; a < size; a += 1)
      for (let b = a + 1; b < size; b += 1)
        if (
          known[at][a * size + b] !== null &&
          (partition[a] === partition[b]) !== (table[at][a] === table[at][b])
        )
          return false;
    return true;
  });
}

const mean = (list) => list.reduce((sum, one) => sum + one, 0) / list.length;
const percent = (hits) => Math.round((1000 * hits.filter(Boolean).length) / hits.length) / 10;

/** The figures of one corpus. */
function diagnosisFigures(name) {
  const text = readFileSync(new URL(`planning/diagnosis-${name}.json`, import.meta.url), 'utf8');
  const { cases } = JSON.parse(text);
  const hits = { one: [], only: [], unknown: [], wrong: [], two: [], other: [] };
  const sizes = [];
  for (const { pattern, rows, one, two, other, seed } of sample(cases, 4)) {
    const random = seededRandom(seed);
    const all = (truth) => cellsOf(truth, () => 1, 0);
    // Where nothing that is known differs there is nothing to explain.
    const first = (truth, known, most = 1) => {
      const { classes } = diagnose(pattern, known, rows);
      if (
        classes.length > 0 &&
        most === 1 &&
        known.flat().every((is, at) => is !== null || isSelf(at, pattern[0].length))
      )
        sizes.push(classes[0].explanations.length);
      const judged = most === 3 ? all(truth) : known;
      return classes.length === 0 || classes.slice(0, most).some((found) => shows(found, truth, judged));
    };
    hits.one.push(first(one.truth, all(one.truth)));
    hits.only.push(diagnose(pattern, all(one.truth), rows).classes.length === 1);
    hits.unknown.push(first(one.truth, cellsOf(one.truth, random, 0.1)));
    const wrong = all(one.truth);
    const size = pattern[0].length;
    const [setting, a] = [Math.floor(random() * pattern.length), Math.floor(random() * (size - 1))];
    wrong[setting][a * size + a + 1] = wrong[setting][(a + 1) * size + a] = !wrong[setting][a * size + a + 1];
    hits.wrong.push(first(one.truth, wrong, 3));
    if (two) hits.two.push(first(two.truth, all(two.truth)));
    if (other) hits.other.push(first(other.truth, all(other.truth)));
  }
  return {
    hash: createHash('sha256').update(text).digest('hex').slice(0, 16),
    cases: cases.length,
    first: percent(hits.one),
    only: percent(hits.only),
    alone: Math.round(
      (100 * sizes.slice(0, cases.length).filter((size) => size === 1).length) / cases.length,
    ),
    mean: Math.round(10 * mean(sizes)) / 10,
    largest: Math.max(...sizes),
    unknown: percent(hits.unknown),
    wrong: percent(hits.wrong),
    two: percent(hits.two),
    other: percent(hits.other),
  };
}

const isSelf = (at, size) => Math.floor((at % (size * size)) / size) === at % size;

/** Milliseconds at 24 terminals and 13 positions, warm: the 95th percentile over causes of every kind. */
function diagnosisMilliseconds() {
  const kind = kindsOf(24, 5).find(({ kind: one }) => one === 'bridging') ?? kindsOf(24, 3)[0];
  const pattern = Array.from({ length: 13 }, (_, at) => kind.pattern[at % kind.pattern.length]);
  const rows = [pattern[0].map((_, place) => place)];
  const contacts = contactsOf(pattern);
  const causes = [
    { cause: 'never-closes', contact: contacts[0] },
    { cause: 'never-opens', contact: contacts[1] },
    { cause: 'closes-also', contact: contacts[2], setting: 4 },
    { cause: 'bridged', terminals: [1, 2] },
    { cause: 'swapped', terminals: [0, 3] },
    { cause: 'shifted', by: 1 },
    { cause: 'reversed' },
  ];
  const times = [];
  for (let round = 0; round < 6; round += 1)
    for (const cause of causes) {
      const known = cellsOf(withCause(pattern, contacts, cause), () => 1, 0);
      const began = performance.now();
      diagnose(pattern, known, rows);
      if (round > 0) times.push(performance.now() - began);
    }
  times.sort((one, other) => one - other);
  return { median: times[Math.floor(times.length / 2)], most: times[Math.floor(times.length * 0.95)] };
}

/** Milliseconds for what is odd about 48 terminals in 24 positions that add up, the longest of five. */
function oddMilliseconds() {
  const lugs = Array.from({ length: 48 }, (_, lug) => lug);
  const pattern = Array.from({ length: 24 }, (_, at) => partitionFromGroups(48, [lugs.slice(0, at + 1)]));
  const context = { contacts: lugs, rests: pattern.map(() => true), mayBeFree: new Set() };
  const times = Array.from({ length: 5 }, () => {
    const began = performance.now();
    oddities(pattern, context);
    return performance.now() - began;
  });
  return Math.max(...times);
}

/** Notes the figures of both corpora, and how long it takes. */
export function benchDiagnosis({ note, atMost, atLeast, round }) {
  atMost('table', 'ms for what is odd, 48 x 24 that adds up', round(oddMilliseconds(), 1), 'ms', 100);
  for (const name of ['a', 'b']) {
    const {
      hash,
      cases,
      first,
      only,
      alone,
      mean: size,
      largest,
      unknown,
      wrong,
      two,
      other,
    } = diagnosisFigures(name);
    const area = `diagnosis ${name}`;
    note(area, 'hash of the corpus', hash, '');
    note(area, 'cases', cases, 'switches');
    atLeast(area, 'true class first', first, '%', 100);
    atLeast(area, 'no second class is shown', only, '%', 70);
    note(area, 'alone in its class', alone, '%');
    note(area, 'explanations of a first class, mean', size, '');
    note(area, 'explanations of a first class, most', largest, '');
    atLeast(area, 'a tenth of the cells unknown: in the first class', unknown, '%', 99);
    atLeast(area, 'one reading wrong: in the first three', wrong, '%', 98);
    atLeast(area, 'two causes: in the first class', two, '%', 97);
    atLeast(area, 'contacts by another set: in the first class', other, '%', 95);
  }
  const { median, most } = diagnosisMilliseconds();
  note('diagnosis', '24 terminals, 13 positions, median', round(median), 'ms');
  atMost('diagnosis', '24 terminals, 13 positions, 95th percentile', round(most), 'ms', 50);
}

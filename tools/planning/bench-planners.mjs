// What mapping costs by each planner, on the frozen corpus or on any file in the project's format.
import { many, sample } from '../bench-size.mjs';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { readProjectFile } from '@which-way/core/formats';
import { patternOfKnown } from '@which-way/core/partition';
import { seededRandom } from '@which-way/core/switch';
import {
  blankField,
  byTime,
  certify,
  copyField,
  EMPTY_HANDS,
  ladder,
  learntChance,
  likelyFirst,
  ORDINARY_HANDS,
  pairFirst,
  positionFirst,
  runCourse,
  supposedJoins,
  workingPairs,
} from '@which-way/core/planner';

const CLIPS = { ...ORDINARY_HANDS, clipsOwned: 24 };
const mean = (values) => values.reduce((sum, value) => sum + value, 0) / values.length;
const now = () => Number(process.hrtime.bigint()) / 1e6;

/** A file of switches that is not one: says what, where, and what would be right. */
export class WrongCases extends Error {}

/** The switches of a file in the project's format; throws `WrongCases`. */
export function readCases(path) {
  const wrong = (what) =>
    new WrongCases(`${path}: ${what}. Give a file of the library, as Which Way exports it.`);
  if (path === undefined)
    throw new WrongCases('--cases wants the path of a file: npm run bench -- --cases FILE');
  let text, json;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    throw wrong('cannot be read');
  }
  try {
    json = JSON.parse(text);
  } catch (error) {
    throw wrong(`is no JSON (${error.message})`);
  }
  const read = readProjectFile(json);
  if (!read.ok) {
    const [{ code, path: where, params }] = read.problems;
    throw wrong(
      `${code} at “${where}” ${Object.keys(params).length > 0 ? JSON.stringify(params) : ''}`.trim(),
    );
  }
  if (read.file.library.length === 0) throw wrong('there is no switch in its library');
  return {
    hash: createHash('sha256').update(text).digest('hex'),
    cases: read.file.library.map((known) => ({ known, pattern: patternOfKnown(known) })),
  };
}

/** Fewest probes that prove a pattern by pairs: (n - k) + k(k - 1) / 2 in each setting. */
const certificate = (pattern) =>
  pattern.reduce((sum, truth) => {
    const nets = new Set(truth).size;
    return sum + truth.length - nets + (nets * (nets - 1)) / 2;
  }, 0);
const exhaustive = (pattern) => (pattern.length * pattern[0].length * (pattern[0].length - 1)) / 2;

function run(pattern, planner, costs) {
  const decide = [];
  const timed = (situation) => {
    const began = now();
    const move = planner(situation);
    decide.push(now() - began);
    return move;
  };
  const field = blankField(pattern[0].length, pattern.length);
  const joined = (setting, a, b) => pattern[setting][a] === pattern[setting][b];
  return {
    ...runCourse(field, { hands: EMPTY_HANDS, costs, planner: timed, joined }, { deep: true }),
    decide,
  };
}

/** Costs of hands under which 'by time' must not be worse in the mean than the better school. */
const HANDS = {
  ordinary: ORDINARY_HANDS,
  'a turn of 4 s': { ...ORDINARY_HANDS, turn: 4 },
  'a turn of 1 s': { ...ORDINARY_HANDS, turn: 1 },
  'a lead of 5 s': { ...ORDINARY_HANDS, moveLead: 5, moveBoth: 8 },
  'a read of 3 s': { ...ORDINARY_HANDS, read: 3 },
};

/** Notes all figures: see the design's targets for what each is held against. */
export function benchPlanners({ note, atMost, round }, path) {
  const { hash, cases: all } = readCases(path);
  const cases = sample(all, 4);
  const area = 'planner';
  note(
    area,
    `corpus of ${new Set(cases.map(({ known }) => known.family)).size} families, ${hash.slice(0, 16)}`,
    cases.length,
    'maps',
  );
  const rows = cases.map(({ known, pattern }) => ({
    known,
    pattern,
    certificate: certificate(pattern),
    every: exhaustive(pattern),
    position: run(pattern, positionFirst, ORDINARY_HANDS),
    pair: run(pattern, pairFirst, ORDINARY_HANDS),
    likely: run(pattern, likelyFirst, ORDINARY_HANDS),
    time: run(pattern, byTime, ORDINARY_HANDS),
    ladder: run(pattern, ladder, CLIPS),
    working: run(pattern, workingPairs, ORDINARY_HANDS),
    certify: run(pattern, certify({ name: known.name, pattern }), ORDINARY_HANDS),
    certifyClips: run(pattern, certify({ name: known.name, pattern }), CLIPS),
  }));
  const big = rows.filter(({ pattern }) => pattern[0].length >= 8);
  const ratio = (from, of) => from.map(of);
  const both = (name, values, target, worst) => {
    if (target === undefined) note(area, `${name}, mean`, round(mean(values)), 'ratio');
    else atMost(area, `${name}, mean`, round(mean(values)), 'ratio', target);
    if (worst === undefined) note(area, `${name}, worst`, round(Math.max(...values)), 'ratio');
    else atMost(area, `${name}, worst`, round(Math.max(...values)), 'ratio', worst);
  };
  const NAMES = {
    position: 'position-first',
    pair: 'pair-first',
    likely: 'likely-first',
    time: 'by time',
    ladder: 'ladder, 24 clips',
  };
  for (const [key, name] of Object.entries(NAMES)) {
    both(
      `${name}: readings / certificate`,
      ratio(rows, (row) => row[key].readings / row.certificate),
      key === 'likely' ? 1.1 : undefined,
    );
    note(
      area,
      `${name}: readings / every pair, mean`,
      round(mean(ratio(rows, (row) => row[key].readings / row.every))),
      'ratio',
    );
    note(
      area,
      `${name}: touches / position-first, mean`,
      round(mean(ratio(rows, (row) => row[key].touches / row.position.touches))),
      'ratio',
    );
  }
  const over = rows.filter(
    ({ likely, position }) => likely.readings > Math.max(1.05 * position.readings, position.readings + 2),
  );
  atMost(area, 'likely-first: maps over max(1.05 T, T + 2)', over.length, 'maps', 0);
  const seconds = (key) => (row) => row[key].seconds / row.position.seconds;
  both('pair-first: seconds / position-first', ratio(rows, seconds('pair')));
  both('likely-first: seconds / position-first', ratio(rows, seconds('likely')));
  both('by time: seconds / position-first', ratio(rows, seconds('time')), 0.83, 1.05);
  const acts = (row) => row.time.acts / row.position.acts;
  atMost(area, 'by time: acts / position-first, mean', round(mean(ratio(rows, acts))), 'ratio', 1.1);
  // What is proposed to who chooses nothing: nearly the quickest of the four that need no clips, whatever the switch.
  const quickest = ({ position, pair, likely, time }) =>
    time.seconds / Math.min(position.seconds, pair.seconds, likely.seconds, time.seconds);
  both('proposed / the quickest without clips', ratio(rows, quickest));
  both('ladder: seconds / position-first, 8 terminals or more', ratio(big, seconds('ladder')), 0.48, 1);
  both('working pairs: seconds / position-first', ratio(rows, seconds('working')));
  both('certify: seconds / position-first', ratio(rows, seconds('certify')));
  both(
    'certify with clips: seconds / position-first, 8 terminals or more',
    ratio(big, seconds('certifyClips')),
  );
  for (const [name, costs] of Object.entries(HANDS)) {
    const school = (planner) =>
      mean(rows.map((row) => run(row.pattern, planner, costs).seconds / row.position.seconds));
    const better = Math.min(school(positionFirst), school(pairFirst));
    atMost(area, `by time / the better school, mean; ${name}`, round(school(byTime) / better), 'ratio', 1);
  }
  for (const [key, planner, costs] of [
    ['position', positionFirst, ORDINARY_HANDS],
    ['time', byTime, ORDINARY_HANDS],
    ['ladder', ladder, CLIPS],
  ]) {
    const forecast = rows.map(({ pattern, ...row }) => {
      const blank = blankField(pattern[0].length, pattern.length);
      const joined = supposedJoins(blank, learntChance);
      return (
        runCourse(copyField(blank), { hands: EMPTY_HANDS, costs, planner, joined }).seconds / row[key].seconds
      );
    });
    both(`${NAMES[key]}: seconds forecast at the start / taken`, forecast);
  }
  benchOneWafer({ note }, rows);
  benchDense({ note, atMost, round });
  const decide = ['likely', 'time', 'ladder'].flatMap((key) => rows.flatMap((row) => row[key].decide));
  atMost(area, 'ms per decision, mean', round(mean(decide)), 'ms', 5);
  atMost(area, 'ms per decision, worst', round(Math.max(...decide)), 'ms', 100);
}

/**
 * Dense switches, where most bundles read low: twelve lugs in six positions, in each of them every lug put by chance into one
 * of so many nets.
 */
function benchDense({ note, atMost, round }) {
  const all = [4, 6, 8, 12].flatMap((nets) =>
    Array.from({ length: many(5, 25) }, (_, at) => {
      const random = seededRandom((at + 1) * 100 + nets);
      const position = () => Array.from({ length: 12 }, () => Math.floor(random() * nets));
      return { nets, pattern: Array.from({ length: 6 }, position) };
    }),
  );
  const hash = createHash('sha256').update(JSON.stringify(all.map(({ pattern }) => pattern)));
  note('planner', `dense 12 x 6, ${hash.digest('hex').slice(0, 16)}`, all.length, 'maps');
  const ratios = all.map(({ nets, pattern }) => ({
    nets,
    ratio:
      run(pattern, ladder, { ...ORDINARY_HANDS, clipsOwned: 12 }).seconds /
      run(pattern, positionFirst, ORDINARY_HANDS).seconds,
  }));
  const of = (some) => round(mean(some.map(({ ratio }) => ratio)));
  atMost('planner', 'dense 12 x 6: ladder / position-first, mean', of(ratios), 'ratio', 0.9);
  for (const nets of [4, 6])
    note(
      'planner',
      `dense 12 x 6, ${nets} nets: ladder / position-first, mean`,
      of(ratios.filter((one) => one.nets === nets)),
      'ratio',
    );
}

/**
 * What a person does for a whole map of twelve terminals in four positions, by each school: touches of the probes, and
 * keys pressed (a label and Enter for each that sounded, Enter or Space to end).
 */
function benchOneWafer({ note }, rows) {
  const row = rows.find(({ known }) => known.name === 'two wafers 12 x 4');
  if (!row) return;
  const { pattern } = row;
  const joined = (setting, a, b) => pattern[setting][a] === pattern[setting][b];
  const schools = {
    'position-first': [positionFirst, ORDINARY_HANDS],
    'pair-first': [pairFirst, ORDINARY_HANDS],
    'likely-first': [likelyFirst, ORDINARY_HANDS],
    'by time': [byTime, ORDINARY_HANDS],
    'with 24 clips': [ladder, CLIPS],
  };
  for (const [name, [planner, costs]] of Object.entries(schools)) {
    let keys = 0;
    const onMove = (move) => {
      const places = move.kind === 'sweep' ? move.black : move.settings;
      const sounds = places.filter((place) =>
        move.kind === 'sweep'
          ? joined(move.setting, move.red, place)
          : move.red.some((a) => move.black.some((b) => joined(place, a, b))),
      );
      keys +=
        places.length === 1 ? 1 : 1 + sounds.reduce((sum, place) => sum + String(place + 1).length + 1, 0);
    };
    const course = runCourse(blankField(12, 4), { hands: EMPTY_HANDS, costs, planner, joined }, { onMove });
    note(
      'planner',
      `12 terminals x 4 positions, ${name}`,
      course.touches,
      `touches, ${keys} keys, ${course.acts} acts`,
    );
  }
}

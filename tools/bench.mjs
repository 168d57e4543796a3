// `npm run bench`: what the core costs, on seeded inputs. Ratios hold on any machine; milliseconds are of this one.
// Seeded samples; `npm run bench:deep` measures whole corpora and the largest files. With `-- --json`: one array of {area, name, value, unit, target, met} on standard output and nothing else.
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { DEEP, sample } from './bench-size.mjs';
import { build, install } from './fresh-work.mjs';

const json = process.argv.includes('--json');
const write = process.stdout.write.bind(process.stdout);
if (json) process.stdout.write = () => true;
install();
build();
process.stdout.write = write;

const { createMapper, deriveMap } = await import('@which-way/core/continuity');
const { benchMatch } = await import('./bench-match.mjs');
const { benchDiagnosis } = await import('./bench-diagnosis.mjs');
const { benchFaults } = await import('./bench-faults.mjs');
const { benchCheck } = await import('./bench-check.mjs');
const { benchSystem } = await import('./bench-system.mjs');
const { benchEar } = await import('./bench-ear.mjs');
const { benchPath } = await import('./bench-path.mjs');
const { matchPattern } = await import('@which-way/core/match');
const { partitionFromGroups, relabel } = await import('@which-way/core/partition');
const {
  answerTo,
  clipTouch,
  blankField,
  EMPTY_HANDS,
  handleAt,
  ladder,
  ORDINARY_HANDS,
  planNext,
  positionFirst,
  recheckCourse,
  recheckForecast,
  runCourse,
} = await import('@which-way/core/planner');
const { truthfulValues } = await import('@which-way/core/simulated');
const { createWriter, ORDINARY_METER } = await import('@which-way/core/log');
const { describeSwitch, newIdFrom, seededRandom, shuffled } = await import('@which-way/core/switch');

const { benchBrowser } = await import('./bench-browser.mjs');
const { benchPages } = await import('./bench-pages.mjs');
const { benchLoad } = await import('./bench-load.mjs');
const { benchStore, job } = await import('./bench-store.mjs');
const { benchMillion } = await import('./bench-million.mjs');
const { benchPlanners, readCases, WrongCases } = await import('./planning/bench-planners.mjs');

const option = process.argv.indexOf('--cases');
const casesPath = option < 0 ? new URL('planning/corpus.json', import.meta.url) : process.argv[option + 1];
try {
  readCases(casesPath);
} catch (error) {
  if (!(error instanceof WrongCases)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exit(1);
}
const figures = [];
/** Notes a figure; one of nothing, such as a mean over no switch of that size, is null and meets no target. */
const note = (area, name, given, unit, target = null, kept = null) => {
  const [value, met] = Number.isFinite(given) || typeof given === 'string' ? [given, kept] : [null, null];
  figures.push({ area, name, value, unit, target, met });
  if (json) return;
  const verdict = met === null ? '' : `  target ${target}: ${met ? 'met' : 'NOT met'}`;
  write(
    `${area.padEnd(11)} ${name.padEnd(66)} ${String(value ?? 'no case').padStart(10)} ${unit}${verdict}\n`,
  );
};
const atMost = (area, name, value, unit, target) =>
  note(area, name, value, unit, `<= ${target}`, value <= target);
const atLeast = (area, name, value, unit, target) =>
  note(area, name, value, unit, `>= ${target}`, value >= target);
const now = () => Number(process.hrtime.bigint()) / 1e6;
const mean = (values) => values.reduce((sum, value) => sum + value, 0) / values.length;
const round = (value, digits = 3) => Number(value.toFixed(digits));
const range = (size) => Array.from({ length: size }, (_, index) => index);

const opposite = (value) => (value.kind === 'over' ? { kind: 'ohms', ohms: 0.3 } : { kind: 'over' });

/**
 * Maps a hidden pattern by the plan with truthful answers; with `recheck` on to the end of the re-check; with `slip` one
 * answer of that number is wrong, and the plan goes on from there.
 */
function mapBy(hidden, seed, { recheck = false, slip = -1, clips = 0 } = {}) {
  const newId = newIdFrom(seededRandom(seed));
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const size = hidden[0].length;
  const change = describeSwitch(
    { terminals: size, positions: hidden.length, form: 'rotary', layout: 'list' },
    newId,
  );
  const events = [];
  const add = (what) => events.push(writer.write(events, what));
  add({ kind: 'restructured', change, basedOn: null });
  add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER });
  const order = clips > 0 ? 'time' : 'position';
  add({ kind: 'approached', approach: { order, extent: 'everything', clips, hands: null } });
  if (recheck) add({ kind: 'recheck-begun' });
  const mapper = createMapper();
  const run = { events, add, mapper, newId, change, readings: 0, touches: 0, decide: [] };
  for (let act = 0; act < 4000; act += 1) {
    const map = mapper(events);
    const began = now();
    const plan = planNext(map, handleAt(map));
    run.decide.push(now() - began);
    const ask = plan.kind === 'ask' ? plan.ask : null;
    const touch = clipTouch(map, ask);
    if (touch) {
      add(touch);
      continue;
    }
    if (!ask) return { ...run, map };
    const known = { terminals: change.terminals.map(({ id }) => id), settings: map.settings };
    const truthAt = (setting) => hidden[change.settings.findIndex(({ id }) => id === setting)];
    const values = truthfulValues(ask, known, truthAt, {
      closed: () => ({ kind: 'ohms', ohms: 0.3 }),
      open: () => ({ kind: 'over' }),
    });
    [...values].forEach(([id, value], place) => {
      if (run.readings + place === slip) values.set(id, opposite(value));
    });
    const prompt = { id: newId(), ask };
    add({ kind: 'prompt-shown', prompt });
    add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, newId));
    run.readings += values.size;
    run.touches += values.size + 1;
  }
  throw new Error('the plan did not come to an end');
}

setFlagsFromString('--expose-gc');
const collectGarbage = runInNewContext('gc');
/** Bytes in use after what is not needed any more has been taken away. */
function heapInUse() {
  collectGarbage();
  return process.memoryUsage().heapUsed;
}

function benchContinuity() {
  const random = seededRandom(48);
  const hidden = range(24).map(() =>
    partitionFromGroups(
      48,
      range(8).map(() => shuffled(range(48), random).slice(0, 3)),
    ),
  );
  const before = heapInUse();
  const { events, mapper, add, newId, change } = mapBy(hidden, 48);
  mapper(events);
  note(
    'continuity',
    'readings in the full map of 48 terminals x 24 settings',
    events.flatMap(({ what }) => what.readings ?? []).length,
    'readings',
  );
  const append = [];
  const undo = [];
  for (const round of range(20)) {
    const reading = {
      id: newId(),
      setting: change.settings[round % 24].id,
      red: [change.terminals[round].id],
      black: [change.terminals[round + 1].id],
      value: { kind: 'over' },
    };
    add({
      kind: 'answered',
      act: 'pair',
      prompt: null,
      source: 'typed',
      inCircuit: false,
      readings: [reading],
    });
    let began = now();
    mapper(events);
    append.push(now() - began);
    add({ kind: 'withdrawn', target: events.at(-1).id, basedOn: null });
    began = now();
    mapper(events);
    undo.push(now() - began);
  }
  const middle = (values) => values.toSorted((one, other) => one - other)[Math.floor(values.length / 2)];
  const began = now();
  deriveMap(events);
  const rebuild = now() - began;
  atMost('continuity', 'ms per reading appended, median', round(middle(append)), 'ms', 1);
  atMost('continuity', 'ms per undo, median', round(middle(undo)), 'ms', 20);
  note('continuity', 'ms for a rebuild from nothing', round(rebuild), 'ms');
  note('continuity', 'appended / rebuilt', round(middle(append) / rebuild), 'ratio');
  note('continuity', 'heap grown by log and map', round((heapInUse() - before) / 1e6, 1), 'MB');
}

function benchMatching() {
  const cases = sample(readCases(casesPath).cases, 3).map(({ pattern }) => pattern);
  const catalogue = cases.map((pattern, index) =>
    relabel(pattern, shuffled(range(pattern[0].length), seededRandom(index + 7))),
  );
  const times = [];
  let [found, undecided] = [0, 0];
  for (const pattern of cases) {
    const required = { pattern, terminals: range(pattern[0].length), known: null };
    const began = now();
    for (const candidate of catalogue) {
      const { kind } = matchPattern(required, candidate);
      if (kind === 'same-wiring') found += 1;
      if (kind === 'undecided') undecided += 1;
    }
    times.push((now() - began) / catalogue.length);
  }
  note('match', 'pairs of switch and candidate', cases.length * catalogue.length, 'pairs');
  note('match', 'same wiring', found, 'pairs');
  atMost(
    'match',
    'undecided, share',
    round(undecided / (cases.length * catalogue.length), 5),
    'ratio',
    0.001,
  );
  note('match', 'ms per candidate, mean', round(mean(times)), 'ms');
}

/** Milliseconds of each step of a course. */
function timesOf(course) {
  const times = [];
  for (let done = false; !done;) {
    const began = now();
    ({ done } = course.next());
    times.push(now() - began);
  }
  return times;
}

/** What the re-check costs, and what it reveals, on the smaller of the same switches: by pairs, and with clips. */
function benchRecheck() {
  const small = readCases(casesPath)
    .cases.map(({ pattern }) => pattern)
    .filter((pattern) => pattern[0].length * pattern.length <= 50);
  const cases = sample(small, 3);
  for (const clips of [0, 24]) {
    const by = clips > 0 ? 'with clips' : 'by pairs';
    const plain = cases.map((hidden, index) => mapBy(hidden, index + 1, { clips }));
    const costs = { ...ORDINARY_HANDS, clipsOwned: clips };
    const mapping = cases.map((hidden) => {
      const field = blankField(hidden[0].length, hidden.length);
      const joined = (setting, a, b) => hidden[setting][a] === hidden[setting][b];
      return runCourse(field, {
        hands: EMPTY_HANDS,
        costs,
        planner: clips > 0 ? ladder : positionFirst,
        joined,
      }).seconds;
    });
    const extra = plain.map(({ map, readings }) => recheckForecast(map, costs).readings / readings);
    note('recheck', `${by}: extra readings / mapping, mean`, round(mean(extra)), 'ratio');
    const time = plain.map(({ map }, index) => recheckForecast(map, costs).seconds / mapping[index]);
    if (clips > 0)
      atMost('recheck', `${by}: seconds / mapping with them, mean`, round(mean(time)), 'ratio', 0.6);
    else note('recheck', `${by}: seconds / mapping, mean`, round(mean(time)), 'ratio');
    const decide = plain.flatMap(({ map }) => timesOf(recheckCourse(map, costs)));
    note('recheck', `${by}: ms per decision, mean`, round(mean(decide)), 'ms');
    note('recheck', `${by}: ms per decision, worst`, round(Math.max(...decide)), 'ms');
    const random = seededRandom(9);
    const slips = cases.flatMap((hidden, index) =>
      shuffled(range(plain[index].readings), random)
        .slice(0, 4)
        .map((slip) => ({ hidden, seed: index + 1, slip })),
    );
    const shownShare = (recheck) =>
      mean(
        slips.map(({ hidden, seed, slip }) => {
          const { map } = mapBy(hidden, seed, { recheck, slip, clips });
          const shown = ({ settled }) => settled.contradictions.length + settled.lookAgain.length > 0;
          return [...map.settings.values()].some(shown) ? 1 : 0;
        }),
      );
    note('recheck', `${by}: single wrong answers while mapping`, slips.length, 'errors');
    note('recheck', `${by}: shown without it`, round(shownShare(false)), 'share');
    const after = shownShare(true);
    note('recheck', `${by}: shown with it`, round(after), 'share', '1', after === 1);
  }
}

const began = now();
const seconds = () => Math.round((now() - began) / 1000);
benchPlanners({ note, atMost, round }, casesPath);
benchRecheck();
benchPath({ note, round });
benchDiagnosis({ note, atMost, atLeast, round });
benchContinuity();
benchMatching();
benchMatch({ note, atMost, round });
benchFaults({ note, atMost, atLeast, round });
benchCheck({ note, atMost, round }, casesPath);
benchSystem({ note, atMost, round });
benchEar({ atMost, atLeast, round });
note('all', 'the core', seconds(), 's');
benchLoad({ note, atMost });
await benchStore({ note, atMost, round });
note('all', 'the core and the store', seconds(), 's');
if (DEEP) await benchMillion({ note, atMost, round }, job);
await benchBrowser({ note, atMost, round });
await benchPages({ note, atMost, round });
if (DEEP) note('all', 'everything', seconds(), 's');
else atMost('all', 'everything', seconds(), 's', 600);
if (json) write(`${JSON.stringify(figures)}\n`);

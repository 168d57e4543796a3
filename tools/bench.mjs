// `npm run bench`: what the core costs, on seeded inputs. Ratios hold on any machine; milliseconds are of this one.
// With `-- --json`: one array of {area, name, value, unit, target, met} on standard output and nothing else.
import { build, install } from './fresh-work.mjs';

const json = process.argv.includes('--json');
const write = process.stdout.write.bind(process.stdout);
if (json) process.stdout.write = () => true;
install();
build();
process.stdout.write = write;

const { createMapper, deriveMap } = await import('@which-way/core/continuity');
const { matchPattern } = await import('@which-way/core/match');
const { nextTest } = await import('@which-way/core/path');
const { partitionFromGroups, relabel } = await import('@which-way/core/partition');
const { answerTo, forecast, handleAt, planNext, recheckForecast } = await import('@which-way/core/planner');
const { truthfulValues } = await import('@which-way/core/simulated');
const { createWriter, describeSwitch, newIdFrom, ORDINARY_METER, seededRandom, shuffled } =
  await import('@which-way/core/switch');

const figures = [];
const note = (area, name, value, unit, target = null, met = null) =>
  figures.push({ area, name, value, unit, target, met });
const atMost = (area, name, value, unit, target) =>
  note(area, name, value, unit, `<= ${target}`, value <= target);
const now = () => Number(process.hrtime.bigint()) / 1e6;
const mean = (values) => values.reduce((sum, value) => sum + value, 0) / values.length;
const round = (value, digits = 3) => Number(value.toFixed(digits));
const range = (size) => Array.from({ length: size }, (_, index) => index);

/** Seeded switches of the usual families, terminals shuffled: selectors, progressives, bridging, reversing, cams. */
function corpus(random) {
  const cases = [];
  const add = (size, settings) => {
    const order = shuffled(range(size), random);
    cases.push(
      relabel(
        settings.map((groups) => partitionFromGroups(size, groups)),
        order,
      ),
    );
  };
  for (const poles of [1, 2, 3, 4]) {
    for (const ways of [2, 3, 4, 6]) {
      const width = ways + 1;
      if (poles * width > 24) continue;
      const base = range(poles).map((pole) => pole * width);
      add(
        poles * width,
        range(ways).map((way) => base.map((common) => [common, common + 1 + way])),
      );
      add(
        poles * width,
        range(ways).map((way) =>
          base.map((common) => [common, ...range(way + 1).map((at) => common + 1 + at)]),
        ),
      );
      add(
        poles * width,
        range(ways).map((way) =>
          base.map((common) => [
            common,
            ...range(ways)
              .filter((at) => at !== way)
              .map((at) => common + 1 + at),
          ]),
        ),
      );
    }
  }
  add(6, [
    [
      [0, 2],
      [1, 3],
    ],
    [],
    [
      [0, 3],
      [1, 2],
    ],
  ]);
  for (const size of [6, 8, 12, 16]) {
    add(
      size,
      range(5).map(() => range(size / 4).map(() => shuffled(range(size), random).slice(0, 2))),
    );
  }
  return cases;
}

const opposite = (value) => (value.kind === 'over' ? { kind: 'ohms', ohms: 0.3 } : { kind: 'over' });

/**
 * Maps a hidden pattern by the plan with truthful answers; with `recheck` on to the end of the re-check; with `slip` one
 * answer of that number is wrong, and the plan goes on from there.
 */
function mapBy(hidden, seed, { recheck = false, slip = -1 } = {}) {
  const newId = newIdFrom(seededRandom(seed));
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const size = hidden[0].length;
  const change = describeSwitch(
    { terminals: size, positions: hidden.length, form: 'rotary', layout: 'list' },
    newId,
  );
  const events = [];
  const add = (what) => events.push(writer.write(events, what));
  add({ kind: 'restructured', change, basedOn: 0 });
  add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER });
  if (recheck) add({ kind: 'recheck-begun' });
  const mapper = createMapper();
  const run = { events, add, mapper, newId, change, readings: 0, touches: 0, decide: [] };
  for (;;) {
    const map = mapper(events);
    const began = now();
    const plan = planNext(map, handleAt(map));
    run.decide.push(now() - began);
    if (plan.kind !== 'ask') return { ...run, map };
    const { ask } = plan;
    const index = change.settings.findIndex(({ id }) => id === ask.setting);
    const settled = map.settings.get(ask.setting).settled;
    const values = truthfulValues(ask, settled, hidden[index], {
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
}

const certificate = (hidden) =>
  hidden.reduce((sum, truth) => {
    const [size, nets] = [truth.length, new Set(truth).size];
    return sum + (size - nets) + (nets * (nets - 1)) / 2;
  }, 0);
const exhaustive = (hidden) => (hidden.length * hidden[0].length * (hidden[0].length - 1)) / 2;

function benchPlanner() {
  const cases = corpus(seededRandom(20260105));
  const runs = cases.map((hidden, index) => ({ hidden, run: mapBy(hidden, index + 1) }));
  const ratio = (of) => runs.map(({ hidden, run }) => of(hidden, run));
  note('planner', 'switches in the corpus', cases.length, 'maps');
  note(
    'planner',
    'position-first probes / certificate, mean',
    round(mean(ratio((hidden, { readings }) => readings / certificate(hidden)))),
    'ratio',
  );
  note(
    'planner',
    'position-first probes / certificate, worst',
    round(Math.max(...ratio((hidden, { readings }) => readings / certificate(hidden)))),
    'ratio',
  );
  atMost(
    'planner',
    'position-first probes / every pair, mean',
    round(mean(ratio((hidden, { readings }) => readings / exhaustive(hidden)))),
    'ratio',
    1,
  );
  const first = ratio(
    (hidden, run) => run.touches / forecast(createMapper()(run.events.slice(0, 2))).touches,
  );
  atMost('planner', 'touches / forecast at the start, worst', round(Math.max(...first)), 'ratio', 1);
  const decisions = runs.flatMap(({ run }) => run.decide);
  atMost('planner', 'ms per decision, mean', round(mean(decisions)), 'ms', 5);
  atMost('planner', 'ms per decision, worst', round(Math.max(...decisions)), 'ms', 100);
}

function benchContinuity() {
  const random = seededRandom(48);
  const hidden = range(24).map(() =>
    partitionFromGroups(
      48,
      range(8).map(() => shuffled(range(48), random).slice(0, 3)),
    ),
  );
  const before = process.memoryUsage().heapUsed;
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
  note(
    'continuity',
    'heap grown by log and map',
    round((process.memoryUsage().heapUsed - before) / 1e6, 1),
    'MB',
  );
}

function benchMatch() {
  const random = seededRandom(7);
  const cases = corpus(random);
  const catalogue = corpus(random);
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

/** What the re-check by pairs costs, and what it reveals, on the same switches. */
function benchRecheck() {
  const cases = corpus(seededRandom(20260105));
  const plain = cases.map((hidden, index) => mapBy(hidden, index + 1));
  const seconds = (map) => forecast(map).seconds;
  const whole = plain.map(({ events }) => seconds(createMapper()(events.slice(0, 2))));
  const extra = plain.map(({ map, readings }) => recheckForecast(map).readings / readings);
  note('recheck', 'by pairs, extra readings / mapping, mean', round(mean(extra)), 'ratio');
  const time = plain.map(({ map }, index) => recheckForecast(map).seconds / whole[index]);
  note('recheck', 'by pairs, seconds / forecast of the mapping, mean', round(mean(time)), 'ratio');
  const random = seededRandom(9);
  const slips = cases.flatMap((hidden, index) =>
    shuffled(range(plain[index].readings), random)
      .slice(0, 8)
      .map((slip) => ({ hidden, seed: index + 1, slip })),
  );
  const shownShare = (recheck) =>
    mean(
      slips.map(({ hidden, seed, slip }) => {
        const { map } = mapBy(hidden, seed, { recheck, slip });
        const shown = ({ settled }) => settled.contradictions.length + settled.lookAgain.length > 0;
        return [...map.settings.values()].some(shown) ? 1 : 0;
      }),
    );
  note('recheck', 'single wrong answers while mapping', slips.length, 'errors');
  note('recheck', 'shown without it', round(shownShare(false)), 'share');
  const after = shownShare(true);
  note('recheck', 'shown with it', round(after), 'share', '1', after === 1);
}

/** The longest supply path that a job may have, tested to the end. */
function benchPath() {
  const random = seededRandom(11);
  const newId = newIdFrom(random);
  const kinds = ['plug', 'fuse', 'cord', 'terminals', 'switch', 'motor', 'lamp', 'coil'];
  const links = range(40).map((index) => ({ id: newId(), kind: kinds[index % kinds.length], name: null }));
  const times = [];
  let asked = 0;
  for (const fault of links) {
    const tests = [];
    for (;;) {
      const began = now();
      const proposed = nextTest({ links, tests });
      times.push(now() - began);
      if (!proposed) break;
      asked += 1;
      const result = proposed.links.includes(fault.id) ? 'fail' : 'pass';
      tests.push({ id: newId(), links: proposed.links, result, flexed: true, ohms: null });
    }
  }
  note('path', 'tests to find one fault among 40 links, mean', round(asked / links.length, 2), 'tests');
  note('path', 'the same by halving, at best', round(Math.log2(links.length), 2), 'tests');
  note(
    'path',
    'ms per proposed test, 40 links, median',
    round(times.sort((one, other) => one - other)[times.length >> 1]),
    'ms',
  );
}

benchPlanner();
benchRecheck();
benchPath();
benchContinuity();
benchMatch();
if (json) write(`${JSON.stringify(figures)}\n`);
else {
  for (const { area, name, value, unit, target, met } of figures) {
    const verdict = met === null ? '' : `  target ${target}: ${met ? 'met' : 'NOT met'}`;
    write(`${area.padEnd(11)} ${name.padEnd(58)} ${String(value).padStart(10)} ${unit}${verdict}\n`);
  }
}

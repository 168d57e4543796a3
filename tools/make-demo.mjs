// Writes the demo files in demo/ from the invented scenario below. Run after `npm run build`; the result is committed.
import { writeFileSync } from 'node:fs';
import { createMapper } from '@which-way/core/continuity';
import { layPath } from '@which-way/core/path';
import { patternOfKnown } from '@which-way/core/partition';
import { answerTo, handleAt, planNext } from '@which-way/core/planner';
import { linesForJob, standardLists } from '@which-way/core/safety';
import { simulateKnown, truthfulValues } from '@which-way/core/simulated';
import {
  createWriter,
  describeSwitch,
  newIdFrom,
  ORDINARY_METER,
  seededRandom,
} from '@which-way/core/switch';
import { lineUp } from '@which-way/core/verify';

const newId = newIdFrom(seededRandom(20261));
const hold = (name, ...joined) => ({ name, rests: 'maintained', joined });
const entry = (kind, name, maker, family, form, terminals, positions, note = null) => ({
  id: newId(),
  kind,
  name,
  maker,
  family,
  form,
  terminals: terminals.split(' '),
  positions,
  note,
});
const ways = (poles, count, names) =>
  Array.from({ length: count }, (_, way) =>
    hold(names?.[way] ?? null, ...poles.map((pole) => [`${pole}0`, `${pole}${way + 1}`])),
  );

const known = {
  wafer: entry(
    'switch',
    'Two-pole four-way wafer, numbered 1 to 12',
    null,
    'wafer',
    'rotary',
    '1 2 3 4 5 6 7 8 9 10 11 12',
    [
      hold('LW', ['1', '2'], ['7', '8']),
      hold('MW', ['1', '3'], ['7', '9']),
      hold('SW', ['1', '4'], ['7', '10']),
      hold('GRAM', ['1', '5'], ['7', '11']),
    ],
    '6 and 12 join nothing.',
  ),
  heat: entry(
    'switch',
    'Three-heat selector, series and parallel',
    null,
    'heat selector',
    'rotary',
    'L N A B C',
    [
      hold('OFF'),
      hold('LOW', ['L', 'A'], ['N', 'C']),
      hold('MEDIUM', ['L', 'A'], ['N', 'B']),
      hold('HIGH', ['L', 'B'], ['N', 'A', 'C']),
    ],
    'Two elements, A to B and B to C.',
  ),
  moa: entry('switch', 'Manual-off-auto, one pole', null, 'toggle', 'toggle', '1 2 3', [
    hold('MANUAL', ['2', '1']),
    hold('OFF'),
    hold('AUTO', ['2', '3']),
  ]),
  keys: entry(
    'switch',
    'Five interlocked keys, off and four speeds',
    null,
    'key bank',
    'key-bank',
    'C 1 2 3 4',
    [hold('OFF'), hold('1', ['C', '1']), hold('2', ['C', '2']), hold('3', ['C', '3']), hold('4', ['C', '4'])],
  ),
  blade: entry(
    'switch',
    'Five-way blade selector, two sides',
    null,
    'blade selector',
    'lever',
    'A0 A1 A2 A3 B0 B1 B2 B3',
    [
      hold('BRIDGE', ['A0', 'A1'], ['B0', 'B1']),
      hold('BRIDGE+MIDDLE', ['A0', 'A1', 'A2'], ['B0', 'B1', 'B2']),
      hold('MIDDLE', ['A0', 'A2'], ['B0', 'B2']),
      hold('MIDDLE+NECK', ['A0', 'A2', 'A3'], ['B0', 'B2', 'B3']),
      hold('NECK', ['A0', 'A3'], ['B0', 'B3']),
    ],
    'Between two neighbours both join: that is what the in-between positions are for.',
  ),
  slide: entry(
    'switch',
    'Two-pole three-way slide',
    null,
    'slide',
    'slide',
    'A0 A1 A2 A3 B0 B1 B2 B3',
    ways(['A', 'B'], 3),
  ),
  reverse: entry('switch', 'Two-pole reversing, crossed', null, 'rocker', 'rocker', '1 2 3 4 5 6', [
    hold('FORWARD', ['1', '3', '6'], ['2', '4', '5']),
    hold('OFF'),
    hold('BACK', ['1', '4', '5'], ['2', '3', '6']),
  ]),
};

const labels = (poles, count) =>
  poles.flatMap((pole) => Array.from({ length: count + 1 }, (_, way) => `${pole}${way}`)).join(' ');
const parts = [
  entry(
    'part',
    'Quillon rotary 26',
    'Quillon',
    'wafer',
    'rotary',
    labels(['A', 'B'], 6),
    ways(['A', 'B'], 6),
    'Adjustable stop.',
  ),
  entry(
    'part',
    'Tollgate stack 34',
    'Tollgate',
    'stacked rotary',
    'rotary',
    labels(['A', 'B', 'C'], 4),
    ways(['A', 'B', 'C'], 4),
  ),
  entry(
    'part',
    'Marrowby slide 23',
    'Marrowby',
    'slide',
    'slide',
    labels(['A', 'B'], 3),
    ways(['A', 'B'], 3),
  ),
  entry(
    'part',
    'Pike and Dunn key 44',
    'Pike and Dunn',
    'rotary with shorted rest',
    'rotary',
    labels(['A', 'B'], 4),
    [...ways(['A', 'B'], 3), hold(null, ['A0', 'A2', 'A4'], ['B0', 'B2', 'B4'])],
    'In its last position the second throw joins too.',
  ),
  entry(
    'part',
    'Larkspur lever five',
    'Larkspur',
    'blade selector',
    'lever',
    'a b c d e f g h',
    [
      hold('1', ['a', 'd'], ['h', 'e']),
      hold('2', ['a', 'c', 'd'], ['h', 'f', 'e']),
      hold('3', ['a', 'c'], ['h', 'f']),
      hold('4', ['a', 'b', 'c'], ['h', 'g', 'f']),
      hold('5', ['a', 'b'], ['h', 'g']),
    ],
    'Lugs run a to d on one side and back e to h on the other.',
  ),
  entry('part', 'Ostrey toggle three', 'Ostrey', 'toggle', 'toggle', 'T1 T2 T3', [
    hold('UP', ['T1', 'T2']),
    hold('MID'),
    hold('DOWN', ['T2', 'T3']),
  ]),
  entry('part', 'Emberling heat four', 'Emberling', 'heat selector', 'rotary', 'P1 P2 S1 S2 S3', [
    hold('0'),
    hold('1', ['P1', 'S1'], ['P2', 'S3']),
    hold('2', ['P1', 'S1'], ['P2', 'S2']),
    hold('3', ['P1', 'S2'], ['P2', 'S1', 'S3']),
  ]),
  entry('part', 'Pepperquay key bank five', 'Stallholder', 'key bank', 'key-bank', 'C K1 K2 K3 K4', [
    hold('0'),
    ...[1, 2, 3, 4].map((key) => hold(`K${key}`, ['C', `K${key}`])),
  ]),
];

/** A job that was mapped truthfully, up to a number of acts. */
function mappedJob({
  title,
  place,
  like,
  hidden,
  layout,
  form,
  day,
  acts = Infinity,
  ohmsAt = {},
  outOfMachine = true,
  before,
  after,
}) {
  let minute = 0;
  const clock = () => new Date(Date.UTC(2026, 10, day, 14, 0, 0) + (minute += 7) * 1000).toISOString();
  const writer = createWriter({ newId, now: clock });
  const events = [];
  const add = (what) => events.push(writer.write(events, what));
  const change = describeSwitch(
    {
      terminals: like.terminals.length,
      positions: like.positions.length,
      form,
      layout,
      labels: like.terminals,
      positionNames: like.positions.map(({ name }) => name),
    },
    newId,
  );
  add({ kind: 'restructured', change, basedOn: 0 });
  before?.(change, add);
  if (acts > 0) {
    add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER });
    probe({ hidden, events, add, acts, ohmsAt, random: seededRandom(day) });
  }
  after?.(createMapper()(events), add);
  return {
    id: newId(),
    title,
    place,
    outOfMachine,
    simulation: null,
    created: new Date(Date.UTC(2026, 10, day, 13, 40)).toISOString(),
    events,
  };
}

function probe({ hidden, events, add, acts, ohmsAt, random }) {
  const mapper = createMapper();
  for (let act = 0; act < acts; act += 1) {
    const map = mapper(events);
    const plan = planNext(map, handleAt(map));
    if (plan.kind !== 'ask') return;
    const prompt = { id: newId(), ask: plan.ask };
    add({ kind: 'prompt-shown', prompt });
    const index = map.structure.settings.findIndex(({ id }) => id === plan.ask.setting);
    const settled = map.settings.get(plan.ask.setting).settled;
    const values = truthfulValues(plan.ask, settled, hidden[index], {
      closed: (red, black) => ({
        kind: 'ohms',
        ohms: ohmsAt[`${index} ${red} ${black}`] ?? Number((0.2 + Math.round(random() * 2) / 10).toFixed(1)),
      }),
      open: () => ({ kind: 'over' }),
    });
    add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, newId));
  }
}

const note = (add, notes) =>
  Object.entries(notes).forEach(([field, text]) => add({ kind: 'noted', field, text }));
const RADIO_PHOTO = 'a0000000-0000-4000-8000-000000000001';
const KILN_PHOTO = 'a0000000-0000-4000-8000-000000000002';
const photo = (add, id, purpose, caption) =>
  add({ kind: 'photo-taken', photo: { id, purpose, caption, width: 1600, height: 1200, removed: false } });
const marking = (add, box, ...runs) =>
  add({
    kind: 'transcribed',
    marking: { id: newId(), runs: runs.map(([text, sure = 'certain']) => ({ text, sure })), box },
  });
const wire = (add, tag, color, terminal, goesTo, more = {}) =>
  add({
    kind: 'wire-tagged',
    wire: {
      id: newId(),
      tag: String(tag),
      color,
      size: '',
      termination: 'solder',
      goesTo,
      liveThough: false,
      terminal: terminal.id,
      removed: false,
      ...more,
    },
  });
const structural = (add, ...changes) =>
  changes.forEach((change, index) => add({ kind: 'restructured', change, basedOn: index + 1 }));
const measured = (add, facts) =>
  Object.entries(facts).forEach(([field, [value, how]]) =>
    add({ kind: 'measured', fact: { field, value, how } }),
  );

/** The band switch before it was mapped: two wafers on one shaft, every other clock place empty. */
function radioBefore({ terminals, actuators }, add) {
  note(add, {
    machine: 'Table radio, valve set with a gramophone socket',
    complaint: 'It only plays long wave, and crackles when the knob is touched.',
    tried: 'Medium wave comes for a second while the knob is between positions. Gramophone hums.',
    'prior-work': 'Fresh solder on two lugs of the rear wafer.',
    'money-limit': '40',
  });
  photo(add, RADIO_PHOTO, 'marking', 'The band switch from behind');
  marking(
    add,
    { photo: RADIO_PHOTO, x: 0.35, y: 0.61, width: 0.32, height: 0.055 },
    ['2(', 'certain'],
    ['1', 'guess'],
    [')A 250V~ T85'],
  );
  marking(add, { photo: RADIO_PHOTO, x: 0.46, y: 0.655, width: 0.09, height: 0.035 }, ['1E4']);
  const spots = terminals.map(({ id }, index) => ({
    terminal: id,
    spot: { on: 'wafers', deck: Math.floor(index / 6), face: 'front', clock: (index % 6) * 2 },
  }));
  structural(
    add,
    { change: 'laid-out', layout: { kind: 'wafers', decks: 2, places: 12 } },
    { change: 'placed', spots },
    { change: 'positions-closed', actuator: actuators[0].id, by: 'stop' },
  );
  const [common, long, medium, short, gram, , detector] = terminals;
  wire(add, 1, 'BK', common, 'aerial coil');
  wire(add, 2, 'RD', long, 'long wave coil');
  wire(add, 3, 'YE', medium, 'medium wave coil');
  wire(add, 4, 'GN', short, 'short wave coil');
  wire(add, 5, 'WH', gram, 'gramophone socket');
  wire(add, 6, 'BU', detector, 'detector');
  measured(add, {
    mounting: ['bush and nut, one locating pip', 'measured'],
    bushing: ['M10 x 0.75', 'measured'],
    'shaft-diameter': ['6', 'measured'],
    depth: ['30', 'measured'],
  });
  for (const step of [
    { text: 'Knobs pulled off', fasteners: [], loose: 'felt washers behind the knobs' },
    {
      text: 'Chassis out of the cabinet',
      fasteners: [{ count: 4, kind: 'screw', length: 25, place: 'underneath' }],
      loose: '',
    },
    {
      text: 'Nut of the band switch',
      fasteners: [{ count: 1, kind: 'bolt-and-nut', length: null, place: 'front plate' }],
      loose: 'lock washer',
    },
  ])
    add({
      kind: 'stripped',
      step: { id: newId(), photo: step.text.startsWith('Nut') ? RADIO_PHOTO : null, removed: false, ...step },
    });
}

function kilnBefore({ terminals, actuators }, add) {
  note(add, { machine: 'Small pottery kiln', complaint: 'Stays warm on HIGH, never hot.' });
  photo(add, KILN_PHOTO, 'marking', 'The heat selector');
  marking(
    add,
    { photo: KILN_PHOTO, x: 0.38, y: 0.36, width: 0.26, height: 0.065 },
    ['16(4)A 25'],
    ['0', 'unreadable'],
    ['V~'],
  );
  marking(add, { photo: KILN_PHOTO, x: 0.37, y: 0.415, width: 0.28, height: 0.06 }, ['T150 1E4 IP20']);
  structural(
    add,
    { change: 'positions-closed', actuator: actuators[0].id, by: 'round' },
    { change: 'terminal-added', terminal: { id: newId(), label: 'FRAME', marking: null, role: 'frame' } },
  );
  const [, , a, b] = terminals;
  add({
    kind: 'part-declared',
    part: {
      id: newId(),
      form: 'jumper',
      terminals: [a.id, b.id],
      ohms: null,
      note: 'bare wire, not factory work',
      on: false,
      removed: false,
    },
  });
  add({
    kind: 'worth-noted',
    inputs: {
      part: 18,
      minutes: 60,
      ratePerHour: 20,
      postage: 5,
      newMachine: 420,
      newLife: 15,
      lifeLeft: 6,
      limit: 60,
      dangerous: false,
    },
  });
}

/** The bilge pump in its boat: on the list, and still with a charge on it. */
function pumpBefore({ terminals }, add) {
  note(add, { machine: 'Bilge pump panel of a small boat', complaint: 'Runs on manual, never by itself.' });
  add({
    kind: 'sister-noted',
    sister: { id: newId(), text: 'The float switch in the bilge', job: null, removed: false },
  });
  const lines = linesForJob(standardLists(), 'battery', newId);
  add({ kind: 'safety-begun', list: { supply: 'battery', lines, codeNote: '' } });
  const answer = (kind, given) =>
    add({ kind: 'safety-answered', line: lines.find((line) => line.kind === kind).id, answer: given });
  answer('isolate', { kind: 'done', note: '' });
  answer('lock', { kind: 'done', note: '' });
  answer('prove-tester', { kind: 'proved', tester: 'meter-on-volts', source: 'the starter battery' });
  answer('prove-dead', { kind: 'dead', volts: 12.4, everyPosition: true });
  const links = layPath('vehicle', newId);
  add({ kind: 'path-laid', links });
  const test = (from, to, result) =>
    add({
      kind: 'path-tested',
      test: {
        id: newId(),
        links: links.slice(from, to).map(({ id }) => id),
        result,
        flexed: false,
        ohms: null,
      },
    });
  test(0, 1, 'pass');
  test(1, 2, 'pass');
  test(2, 5, 'fail');
  const [hand, feed, auto] = terminals;
  wire(add, 1, 'BN', hand, 'pump', { termination: 'push-on', size: '1.5 mm2' });
  wire(add, 2, 'RD', feed, 'fuse', { termination: 'push-on', size: '1.5 mm2' });
  wire(add, 3, 'WH', auto, 'float switch', { termination: 'push-on', size: '1 mm2', liveThough: true });
}

function fanBefore({ actuators }, add) {
  note(add, {
    machine: 'Desk fan',
    complaint: 'The keys do one speed too many.',
    'prior-work': 'Opened before: the key bank was rebuilt.',
  });
  structural(
    add,
    ...actuators[0].positions.map(({ id }, index) => ({
      change: 'position-posed',
      position: id,
      rests: 'maintained',
      returnsTo: null,
      pose: { kind: 'keys', down: [index + 1] },
    })),
  );
}

const expect = (like) => (map, add) => add({ kind: 'expected', table: lineUp(map.structure, like).table });
const shifted = (pattern) => [pattern.at(-1), ...pattern.slice(0, -1)];
const jobs = [
  mappedJob({
    title: 'Table radio, band switch',
    place: 'Orchard Lane',
    like: known.wafer,
    hidden: patternOfKnown(known.wafer),
    layout: 'circle',
    form: 'rotary',
    day: 17,
    before: radioBefore,
    ohmsAt: { '1 6 8': 2.1 },
  }),
  mappedJob({
    title: 'Stage guitar, five-way selector',
    place: 'the hall band',
    like: known.blade,
    hidden: patternOfKnown(known.blade),
    layout: 'two-rows',
    form: 'lever',
    day: 18,
    after: expect(known.blade),
  }),
  mappedJob({
    title: 'Desk fan, five speed keys',
    place: 'walk-in',
    like: known.keys,
    hidden: shifted(patternOfKnown(known.keys)),
    layout: 'one-row',
    form: 'key-bank',
    day: 19,
    before: fanBefore,
    after: expect(known.keys),
  }),
  mappedJob({
    title: 'Bilge pump panel, manual-off-auto',
    place: 'slip 4',
    like: known.moa,
    hidden: [],
    layout: 'one-row',
    form: 'toggle',
    day: 20,
    outOfMachine: false,
    before: pumpBefore,
    acts: 0,
  }),
  mappedJob({
    title: 'Pottery kiln, three-heat selector',
    place: 'Saltmarsh studio',
    like: known.heat,
    hidden: patternOfKnown(known.heat),
    layout: 'circle',
    form: 'rotary',
    day: 21,
    before: kilnBefore,
    acts: 6,
  }),
];
const practice = {
  id: newId(),
  title: 'Practice: slide switch from the box of odds',
  place: 'the bench',
  outOfMachine: true,
  simulation: simulateKnown(known.slide, 12, true),
  created: new Date(Date.UTC(2026, 10, 22, 9)).toISOString(),
  events: [],
};
const writer = createWriter({ newId, now: () => new Date(Date.UTC(2026, 10, 22, 9, 1)).toISOString() });
practice.events.push(
  writer.write([], {
    kind: 'restructured',
    change: describeSwitch({ terminals: 8, positions: null, form: 'slide', layout: 'two-rows' }, newId),
    basedOn: 0,
  }),
);
jobs.push(practice);

const write = (name, file) =>
  writeFileSync(
    new URL(`../demo/${name}`, import.meta.url),
    `${JSON.stringify({ format: 'which-way', version: 1, ...file }, null, 1)}\n`,
  );
write('library.json', { jobs: [], library: [...Object.values(known), ...parts] });
write('jobs.json', { jobs, library: [] });

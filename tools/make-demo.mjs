// Writes the demo files in demo/ from the invented scenario below. Run after `npm run build`; the result is committed.
import { writeFileSync } from 'node:fs';
import { createMapper } from '@which-way/core/continuity';
import { partitionFromGroups, patternOfKnown } from '@which-way/core/partition';
import { answerTo, handleAt, planNext } from '@which-way/core/planner';
import { simulateKnown, truthfulValues } from '@which-way/core/simulated';
import { createWriter, lastChange, ORDINARY_METER } from '@which-way/core/log';
import { describeSwitch, newIdFrom, seededRandom } from '@which-way/core/switch';
import { lineUp, readExpected } from '@which-way/core/verify';
import { inventedParts } from './demo-parts.mjs';
import { known, newId, parts } from './demo-library.mjs';
import {
  fanBefore,
  kilnBefore,
  launchBefore,
  launchOffers,
  megaphoneBefore,
  pumpBefore,
  radioBefore,
} from './demo-notebooks.mjs';
import { lampBack, lampBefore, stallBack, stallBefore } from './demo-refit.mjs';
import { pierBefore, pierTogether } from './demo-pier.mjs';

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
  cleaned = false,
  outOfMachine = true,
  before,
  after,
}) {
  let minute = 0;
  const clock = () => new Date(Date.UTC(2026, 10, day, 14, 0, 0) + (minute += 7) * 1000).toISOString();
  const writer = createWriter({ newId, now: clock });
  const events = [];
  // Each change of the switch is made on the one before it.
  const add = (what) =>
    events.push(
      writer.write(events, what.kind === 'restructured' ? { ...what, basedOn: lastChange(events) } : what),
    );
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
  add({ kind: 'restructured', change, basedOn: null });
  if (outOfMachine) add({ kind: 'ends-capped', ends: 'capped' });
  before?.(change, add);
  if (acts > 0) {
    add({ kind: 'meter-checked', leadsTogether: { kind: 'ohms', ohms: 0.2 }, meter: ORDINARY_METER });
    probe({ hidden, events, add, acts, ohmsAt, random: seededRandom(day) });
    if (cleaned) {
      add({ kind: 'worked-on', what: 'cleaned', note: 'contact cleaner, ten strokes' });
      probe({ hidden, events, add, acts, ohmsAt: {}, random: seededRandom(day + 100) });
    }
  }
  after?.(createMapper()(events), add, events);
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
    const placeOf = (setting) => map.structure.settings.findIndex(({ id }) => id === setting);
    const index = placeOf(plan.ask.setting);
    const known = { terminals: map.structure.terminals.map(({ id }) => id), settings: map.settings };
    const values = truthfulValues(plan.ask, known, (setting) => hidden[placeOf(setting)], {
      closed: (red, black) => ({
        kind: 'ohms',
        ohms: ohmsAt[`${index} ${red} ${black}`] ?? Number((0.2 + Math.round(random() * 2) / 10).toFixed(1)),
      }),
      open: () => ({ kind: 'over' }),
    });
    add(answerTo(prompt, { values, source: 'typed', inCircuit: false }, newId));
  }
}

const expect = (like) => (map, add) => add({ kind: 'expected', table: lineUp(map.structure, like).table });
const shifted = (pattern) => [pattern.at(-1), ...pattern.slice(0, -1)];
const asTyped = (text) => (map, add) => {
  const read = readExpected(text, map.structure, (at) => map.structure.actuators[0].positions[at].name);
  if (!read.ok) throw new Error(JSON.stringify(read.trouble));
  add({ kind: 'expected', table: read.table });
};

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
    cleaned: true,
    after: expect(known.wafer),
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
    after: asTyped('OFF: -; LOW: L-A N-C; MEDIUM: L-A N-B; HIGH: L-B N-A-C'),
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
    basedOn: null,
  }),
);
jobs.push(practice);

const nets = (size, ...groups) => groups.map((joined) => partitionFromGroups(size, joined));
const invented = inventedParts(150, 7, newIdFrom(seededRandom(711)));
const plainSwitch = (terminals, names) => ({
  terminals: terminals.split(' '),
  positions: names.map((name) => ({ name, rests: 'maintained', joined: [] })),
});
jobs.push(
  mappedJob({
    title: 'Harbour launch, bow or stern lamp',
    place: 'the boat club',
    like: plainSwitch('1 2 3', ['BOW', 'STERN']),
    hidden: nets(3, [[0, 1, 2]], [[0, 1, 2]]),
    layout: 'one-row',
    form: 'toggle',
    day: 23,
    before: launchBefore,
    after: (map, add) => {
      asTyped('BOW: 2-1; STERN: 2-3')(map, add);
      launchOffers(
        invented.find(({ family, facts }) => family === 'toggle, changeover' && facts?.price !== undefined),
        add,
      );
    },
  }),
  mappedJob({
    title: 'Coach’s megaphone, talk switch',
    place: 'the rowing club',
    like: plainSwitch('1 2', ['OFF', 'TALK']),
    hidden: nets(2, [], [[0, 1]]),
    layout: 'one-row',
    form: 'slide',
    day: 24,
    before: megaphoneBefore,
    after: (map, add) => {
      asTyped('OFF: -; TALK: 1-2')(map, add);
      const [, talk] = map.structure.settings;
      const [one, two] = map.structure.terminals;
      const run = { terminals: [one.id, two.id], setting: talk.id, cycles: 20, misses: [7, 16], sticks: [] };
      add({ kind: 'contact-repeated', run: { ...run, dropOuts: 0, ohms: [], under: 'bench' } });
    },
  }),
);

jobs.push(
  mappedJob({
    title: 'Market stall heater, two-heat rocker',
    place: 'the Saturday market',
    like: plainSwitch('1 2 3', ['OFF', 'LOW', 'HIGH']),
    hidden: nets(3, [], [[0, 1]], [[0, 1, 2]]),
    layout: 'one-row',
    form: 'rocker',
    day: 25,
    cleaned: true,
    ohmsAt: { '1 0 1': 6.4 },
    before: stallBefore,
    after: (map, add, events) => {
      asTyped('OFF: -; LOW: 1-2; HIGH: 1-2-3')(map, add);
      stallBack(createMapper()(events), add, events);
    },
  }),
  mappedJob({
    title: 'Reading lamp, knob with two bulbs',
    place: 'the library corner',
    like: plainSwitch('1 2 3', ['OFF', 'UPPER', 'LOWER']),
    hidden: nets(3, [], [[0, 1]], [[0, 2]]),
    layout: 'one-row',
    form: 'rotary',
    day: 26,
    before: lampBefore,
    after: (map, add, events) => {
      asTyped('OFF: -; UPPER: 1-2; LOWER: 1-3')(map, add);
      lampBack(createMapper()(events), add);
    },
  }),
);

const changeover = plainSwitch('1 2 3', ['UP', 'DOWN']);
const pier = ['shore', 'end'].map((where, at) => ({
  job: mappedJob({
    title: `Pier beacon, switch at the ${where}`,
    place: 'the pier',
    like: changeover,
    // The second does not let go of one wire any more.
    hidden: at === 0 ? nets(3, [[0, 1]], [[0, 2]]) : nets(3, [[0, 1]], [[0, 1, 2]]),
    layout: 'one-row',
    form: 'toggle',
    day: 25,
    before: pierBefore(at === 0),
    after: asTyped('UP: 1-2; DOWN: 1-3'),
  }),
}));
const together = {
  id: newId(),
  about: 'system',
  title: 'Pier beacon, both switches',
  place: 'the pier',
  outOfMachine: true,
  simulation: null,
  created: new Date(Date.UTC(2026, 10, 25, 15)).toISOString(),
  events: [],
};
const systemWriter = createWriter({
  newId,
  now: () => new Date(Date.UTC(2026, 10, 25, 15, 1)).toISOString(),
});
pierTogether(pier, (what) => together.events.push(systemWriter.write(together.events, what)));
jobs.push(...pier.map(({ job }) => job), together);

const write = (name, file) =>
  writeFileSync(
    new URL(`../demo/${name}`, import.meta.url),
    `${JSON.stringify({ format: 'which-way', version: 3, shop: null, ...file }, null, 1)}\n`,
  );
write('library.json', { jobs: [], library: [...Object.values(known), ...parts, ...invented] });
write('jobs.json', { jobs, library: [] });

// Which fault explains what was seen: every single fault of sixty circuits, from one complaint on.
import { many } from './bench-size.mjs';
import { createHash } from 'node:crypto';
import { performance } from 'node:perf_hooks';
import {
  drawnContacts,
  drawnCircuit,
  faultModel,
  lookKey,
  nextTest,
  NO_EVIDENCE,
  rankFaults,
  SURE,
  toldOf,
} from '@which-way/core/machine';
import { seededRandom } from '@which-way/core/switch';

const AC = { L: { kind: 'L', volts: 230 }, N: { kind: 'N', volts: null } };
const DC = { P: { kind: '+', volts: 12, current: 'DC' }, M: { kind: '0', volts: null, current: 'DC' } };
const heater = (watts) => ({ watts, volts: 230 });
const lamp = { kind: 'lamp', watts: 20, volts: 12, current: 'DC' };
const motor = { kind: 'motor', make: 'permanent-magnet', volts: 12, current: 'DC' };

/** Families of circuits, each with figures that a random number varies. */
const FAMILIES = [
  (random) => {
    const watts = 200 + Math.floor(random() * 600);
    return {
      terminals: 'L N A B C',
      ...{ supplies: AC, loads: { e1: heater(watts), e2: heater(watts) } },
      wires: 'L>L N>N A>e1.1 B>e1.2 B>e2.1 C>e2.2',
      settings: ['', 'L-A N-C', 'L-A N-B', 'L-B N-A-C'],
    };
  },
  () => ({
    terminals: 'P M A B',
    ...{ supplies: DC, loads: { motor } },
    wires: 'P>P M>M A>motor.+ B>motor.-',
    settings: ['P-A M-B', 'A-B', 'P-B M-A'],
  }),
  (random) => {
    const ways = 2 + Math.floor(random() * 4);
    const names = Array.from({ length: ways }, (_, at) => `W${at}`);
    return {
      terminals: `C ${names.join(' ')}`,
      ...{ supplies: DC, loads: Object.fromEntries(names.map((name) => [`l${name}`, lamp])) },
      wires: `C>P ${names.map((name) => `${name}>l${name}.1 l${name}.2>M`).join(' ')}`,
      settings: ['', ...names.map((name) => `C-${name}`)],
    };
  },
  (random) => {
    const poles = 1 + Math.floor(random() * 3);
    const at = Array.from({ length: poles }, (_, pole) => pole + 1);
    return {
      terminals: at.map((pole) => `A${pole} B${pole}`).join(' '),
      ...{ supplies: AC, loads: Object.fromEntries(at.map((pole) => [`h${pole}`, heater(100 * pole)])) },
      wires: at.map((pole) => `A${pole}>L B${pole}>h${pole}.1 h${pole}.2>N`).join(' '),
      settings: ['', at.map((pole) => `A${pole}-B${pole}`).join(' ')],
    };
  },
  (random) => ({
    // Progressive: each position adds a lamp.
    terminals: 'C 1 2 3',
    ...{ supplies: AC, loads: { a: heater(60), b: heater(60 + Math.floor(random() * 60)), c: heater(60) } },
    wires: 'C>L 1>a.1 2>b.1 3>c.1 a.2>N b.2>N c.2>N',
    settings: ['', 'C-1', 'C-1-2', 'C-1-2-3'],
  }),
  () => ({
    terminals: 'P A B',
    ...{ supplies: DC, loads: { motor, pilot: lamp } },
    wires: 'P>P A>motor.+ B>motor.- B>M A>pilot.1 pilot.2>M',
    settings: ['A-B', 'P-A'],
  }),
];

/** Sixty circuits, ten of each family, the same whenever they are made; in a sample the first eighteen of them. */
function circuits() {
  const random = seededRandom(1717);
  const all = Array.from({ length: 60 }, (_, at) => FAMILIES[at % FAMILIES.length](random));
  // Of each family the same share.
  return all.slice(0, many(18, 60));
}

/** One hunt: the tests that are asked for until it is sure or nothing tells any more. */
function hunt(model, truth, choose, wrong = () => false) {
  const symptom = [...truth.shows].find(([key, seen]) => model.healthy.get(key) !== seen);
  if (truth.fault.kind === 'none' || !symptom) return null;
  const observe = (setting, load) => {
    const key = lookKey(setting, load);
    const seen = toldOf(truth.shows.get(key) ?? 'off', model.healthy.get(key));
    return { setting, load, seen: wrong() ? (seen === 'off' ? 'on' : 'off') : seen };
  };
  const found = {
    ...NO_EVIDENCE,
    seen: [observe(...symptom[0].split(' '))],
    read: [],
    probed: [],
    tried: [],
  };
  let [seconds, tests] = [0, 0];
  for (; tests < 40; tests += 1) {
    const next = choose(model, rankFaults(model, found), found);
    if (!next) break;
    seconds += next.seconds;
    if (next.kind === 'look') found.seen.push(...next.loads.map((load) => observe(next.setting, load)));
    else if (next.kind === 'read')
      found.read.push({ ...next, joins: truth.joins(next.setting, next.contact), by: 'ohms' });
    else if (next.kind === 'probe')
      found.probed.push({ ...next, conducts: truth.conducts(next.setting, ...next.between) });
    else {
      const part = next.kind === 'supply' ? next.supply : next.part;
      found.tried.push({ part, whole: truth.whole(part) });
    }
  }
  const ranked = rankFaults(model, found);
  const same = (one) =>
    [...truth.shows].every(([key, what]) => one.shows.get(key) === what) &&
    model.contacts.every((contact) =>
      model.settings.every(({ setting }) => one.joins(setting, contact) === truth.joins(setting, contact)),
    ) &&
    [...model.wires, ...[...model.circuit.loads, ...model.circuit.supplies].map(({ id }) => id)].every(
      (part) => one.whole(part) === truth.whole(part),
    );
  const left = ranked.filter(({ chance }) => chance > 0.1 * ranked[0].chance).length;
  // What the first and all that show the very same come to together.
  const stated = ranked
    .filter((one) => alike(model, one, ranked[0]))
    .reduce((sum, { chance }) => sum + chance, 0);
  return { tests, seconds, right: same(ranked[0]), left, stated };
}

/** Whether two faults show the very same, whatever is looked at. */
const alike = (model, one, other) =>
  [...other.shows].every(([key, what]) => one.shows.get(key) === what) &&
  model.contacts.every((contact) =>
    model.settings.every(({ setting }) => one.joins(setting, contact) === other.joins(setting, contact)),
  ) &&
  [...model.wires, ...[...model.circuit.loads, ...model.circuit.supplies].map(({ id }) => id)].every(
    (part) => one.whole(part) === other.whole(part),
  );

/** Every look in the order of the settings, then every reading, then every part; `skip`: what tells nothing is left out. */
const inOrder = (skip) => (model, ranked, found) => {
  if (ranked[0].chance >= SURE) return null;
  const { settings, circuit, contacts, wires } = model;
  const open = ranked.filter(({ chance }) => chance > 1e-4);
  const telling = (of) => !skip || new Set(open.map(of)).size > 1;
  for (const { setting } of settings) {
    const loads = circuit.loads
      .map(({ id }) => id)
      .filter((id) => !found.seen.some((one) => one.setting === setting && one.load === id));
    if (loads.length > 0 && telling(({ shows }) => loads.map((id) => shows.get(lookKey(setting, id))).join()))
      return { kind: 'look', setting, loads, seconds: 3 + 2 * loads.length };
  }
  for (const { setting } of settings)
    for (const contact of contacts)
      if (
        !found.read.some((one) => one.setting === setting && one.contact === contact) &&
        telling(({ joins }) => joins(setting, contact))
      )
        return { kind: 'read', setting, contact, seconds: 20 };
  const supplies = circuit.supplies.filter(({ kind }) => kind !== 'earth');
  for (const part of [...[...circuit.loads, ...supplies].map(({ id }) => id), ...wires])
    if (!found.tried.some((one) => one.part === part) && telling(({ whole }) => whole(part)))
      return { kind: 'try', part, seconds: 25 };
  return null;
};

const mean = (list) => list.reduce((sum, one) => sum + one, 0) / Math.max(1, list.length);

/** How it fares where 3 looks in 100 are told wrong, and whether the chance that it states is the chance that it is right. */
function wrongLooks(area, run, { atMost, atLeast, round }) {
  const random = seededRandom(3);
  const wanted = many(300, 10_000);
  const wrong = [];
  while (wrong.length < wanted) wrong.push(...run(nextTest, () => random() < 0.03));
  atLeast(
    area,
    'right with 3 % wrong looks',
    round(mean(wrong.map(({ right }) => Number(right))), 4),
    'ratio',
    0.99,
  );
  atMost(
    area,
    `points between the chance that is stated and how often it is right, of ${wrong.length} runs with 3 % wrong looks`,
    round(
      100 * Math.abs(mean(wrong.map(({ stated }) => stated)) - mean(wrong.map(({ right }) => Number(right)))),
      2,
    ),
    'points',
    2,
  );
}

/** Notes what it takes. */
export function benchFaults({ note, atMost, atLeast, round }) {
  const all = circuits();
  const hash = createHash('sha256').update(JSON.stringify(all)).digest('hex').slice(0, 16);
  const made = all.map(({ settings, ...drawn }) =>
    faultModel(
      drawnCircuit(drawn),
      settings.map((joins, at) => ({ setting: `s${at}`, nets: drawnContacts(drawn.terminals, joins).nets })),
    ),
  );
  const area = 'faults';
  const run = (choose, wrong) =>
    made.flatMap((model) => model.faults.flatMap((fault) => hunt(model, fault, choose, wrong) ?? []));
  const began = performance.now();
  const ours = run(nextTest);
  const took = performance.now() - began;
  note(area, `single faults with a symptom, of ${all.length} circuits with hash ${hash}`, ours.length, '');
  atMost(area, 'tests after the complaint, mean', round(mean(ours.map(({ tests }) => tests))), '', 3);
  atMost(area, 'seconds of tests, mean', round(mean(ours.map(({ seconds }) => seconds))), 's', 35);
  atMost(area, 'faults left that nothing splits, mean', round(mean(ours.map(({ left }) => left))), '', 1.3);
  atLeast(
    area,
    'the right one first, or one that shows the very same',
    round(mean(ours.map(({ right }) => Number(right))), 4),
    'ratio',
    0.98,
  );
  for (const [name, skip] of [
    ['in a fixed order', false],
    ['in a fixed order, without what tells nothing', true],
  ]) {
    const other = run(inOrder(skip));
    note(
      area,
      `seconds, ${name} / chosen`,
      round(mean(other.map(({ seconds }) => seconds)) / mean(ours.map(({ seconds }) => seconds))),
      'ratio',
    );
  }
  wrongLooks(area, run, { atMost, atLeast, round });
  note(area, 'a hunt, all its rankings together', round(took / ours.length), 'ms');
}

// What is written down of the demo's jobs before they are mapped.
import { layPath } from '@which-way/core/path';
import { linesForJob, standardLists, usualPoints } from '@which-way/core/safety';
import {
  note,
  RADIO_PHOTO,
  KILN_PHOTO,
  photo,
  marking,
  wire,
  ended,
  tied,
  supplied,
  fed,
  structural,
  measured,
} from './demo-deeds.mjs';
import { newId } from './demo-library.mjs';

/** The band switch before it was mapped: two wafers on one shaft, every other clock place empty. */
export function radioBefore({ terminals, actuators }, add) {
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

export function kilnBefore({ terminals, actuators }, add) {
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
  const [live, neutral, one, two, three] = terminals;
  const [mains, back] = [supplied(add, '', 'L', 230, 'AC'), supplied(add, '', 'N', null, 'AC')];
  const [first, second] = ['Element 1', 'Element 2'].map((name) =>
    fed(add, name, 'resistive', 400, 230, 'AC'),
  );
  const ends = { termination: 'push-on', size: '1.5 mm2' };
  ended(add, 1, 'BN', live, [mains], ends);
  ended(add, 2, 'RD', one, [first('1')], ends);
  ended(add, 3, 'BU', two, [first('2'), second('1')], ends);
  ended(add, 4, 'WH', three, [second('2')], ends);
  ended(add, 5, 'GY', neutral, [back], ends);
  kilnPath(add);
}

/** It is weak: the whole is too much at its plug, and one conductor of the cord is cleared. */
function kilnPath(add) {
  add({ kind: 'symptoms-said', symptoms: ['weak'] });
  const { nodes, links } = layPath('heater', newId);
  add({ kind: 'path-laid', nodes, links });
  const test = (stretch, result) =>
    add({
      kind: 'path-tested',
      test: {
        id: newId(),
        links: stretch.map(({ id }) => id),
        way: 'through',
        result,
        flexed: true,
        ohms: null,
        by: 'ohms',
      },
    });
  test(
    links.filter(({ conductor }) => conductor !== 'beside'),
    'fail',
  );
  test(
    links.filter(({ kind, conductor }) => kind === 'cord' && conductor === 'feed'),
    'pass',
  );
}

/** The bilge pump in its boat: on the list, and still with a charge on it. */
export function pumpBefore({ terminals }, add) {
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
  answer('prove-dead', {
    kind: 'proof',
    points: usualPoints('battery'),
    positions: [],
    noEarth: false,
    before: [],
    after: [{ between: ['+', '−'], position: null, volts: 12.4, current: 'DC', lowImpedance: false }],
  });
  const { nodes, links } = layPath('vehicle', newId);
  add({ kind: 'path-laid', nodes, links });
  const test = (from, to, result) =>
    add({
      kind: 'path-tested',
      test: {
        id: newId(),
        links: links.slice(from, to).map(({ id }) => id),
        result,
        way: 'through',
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

export function fanBefore({ actuators }, add) {
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

/** A changeover between two lamps, both of which light whatever the lever says. */
export function launchBefore(change, add) {
  note(add, {
    machine: 'Harbour launch, lamps at bow and stern, 12 V',
    complaint: 'Both lamps burn, whichever way the lever stands.',
    tried: 'Lever to and fro: no difference.',
  });
  add({ kind: 'symptoms-said', symptoms: ['never-off'] });
  const [bow, feed, stern] = change.terminals;
  const ends = { termination: 'push-on', size: '1 mm2' };
  const [battery, minus] = [supplied(add, 'battery', '+', 12, 'DC'), supplied(add, 'minus', '0', null, 'DC')];
  const lamps = ['bow lamp', 'stern lamp'].map((name) => fed(add, name, 'lamp', 25, 12, 'DC'));
  ended(add, 1, 'BU', bow, [lamps[0]('1')], ends);
  ended(add, 2, 'RD', feed, [battery], ends);
  ended(add, 3, 'BNWH', stern, [lamps[1]('1')], ends);
  for (const lamp of lamps) tied(add, lamp('2').load, '2', minus);
  measured(add, {
    mounting: ['one nut on a bushing', 'measured'],
    bushing: ['12 mm', 'measured'],
    depth: ['28', 'measured'],
    terminations: ['push-on 6.3', 'measured'],
    environment: ['IP65', 'marking'],
  });
}

/** What was offered for it: one that cannot stay, and one that is still to be asked about. */
export function launchOffers(entry, add) {
  const offer = (seller, price, stated, more = {}) =>
    add({
      kind: 'offer-noted',
      offer: {
        ...{
          id: newId(),
          entry: entry.id,
          seller,
          link: null,
          price,
          stated,
          questions: [],
          asked: null,
          answer: '',
        },
        ...{ state: 'open', reason: '', removed: false },
        ...more,
      },
    });
  offer('Chandlery at the slip', 6.2, { protection: 'IP40', bushing: 12 });
  offer(
    'Rope and Rigging',
    8.9,
    { protection: 'IP67', bushing: 12, depth: 26 },
    { link: 'https://rope.example/toggles' },
  );
}

/** A talk switch that does not always talk. */
export function megaphoneBefore(change, add) {
  note(add, {
    machine: 'Megaphone of the rowing coach, 12 V',
    complaint: 'It cuts out now and then: slide it again and it talks.',
    tried: 'Worked it a dozen times at the counter, it was dead once.',
  });
  add({ kind: 'symptoms-said', symptoms: ['sometimes'] });
}

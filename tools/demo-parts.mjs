// Invented parts with what is stated of them, and honest gaps: the demo's library, and catalogues of any size for the bench.
import { seededRandom } from '@which-way/core/switch';

const MAKERS = [
  'Quillon',
  'Tollgate',
  'Marrowby',
  'Larkspur',
  'Ostrey',
  'Emberling',
  'Stallholder',
  'Pennywhistle',
  'Brackwater',
  'Thimble Row',
  'Gantry and Son',
  'Ferrywell',
];

const labels = (poles, ways) =>
  Array.from({ length: poles }, (_, pole) =>
    Array.from({ length: ways + 1 }, (__, way) => `${String.fromCharCode(65 + pole)}${way}`),
  );
const lettered = (count) => Array.from({ length: count }, (_, at) => String(at + 1));
const nets = (poles, closed) =>
  poles.flatMap((pole) => {
    const ends = closed.map((way) => pole[way + 1]);
    return ends.length > 0 ? [[pole[0], ...ends]] : [];
  });
const at = (name, joined, rests = 'maintained') => ({ name, rests, joined });

/** Families by their name: form, and a switch of it from a few numbers. */
const FAMILIES = {
  'toggle, on-off': ['toggle', (pick) => onOff(pick([1, 2, 3]), ['OFF', 'ON'])],
  'rocker, on-off': ['rocker', (pick) => onOff(pick([1, 2]), ['0', 'I'])],
  'toggle, changeover': ['toggle', (pick) => ways(pick([1, 2, 3, 4]), 2, ['UP', 'DOWN'])],
  'toggle, centre off': [
    'toggle',
    (pick) =>
      centreOff(
        pick([1, 2]),
        pick([
          ['maintained', 'maintained'],
          ['momentary', 'momentary'],
          ['maintained', 'momentary'],
        ]),
      ),
  ],
  'rocker, centre off': ['rocker', (pick) => centreOff(pick([1, 2]), ['maintained', 'maintained'])],
  slide: ['slide', (pick) => ways(pick([1, 2, 4]), pick([2, 3]))],
  wafer: ['rotary', (pick) => ways(pick([1, 2, 3, 4]), pick([3, 4, 5, 6, 8, 11]))],
  'coded rotary': ['rotary', (pick) => coded(pick([3, 4]))],
  'heat selector': ['rotary', () => heat()],
  'key switch': ['key', (pick) => onOff(pick([1, 2]), ['OFF', 'ON'])],
  'push, momentary': ['push', (pick) => push(pick([1, 2]))],
  trigger: ['trigger', (pick) => push(pick([1, 2]), true)],
  reversing: ['lever', (pick) => reversing(pick(['maintained', 'momentary']))],
  'key bank': ['key-bank', (pick) => bank(pick([3, 4, 5]))],
  'cam, make and break': ['rotary', (pick) => cams(pick([2, 3, 4]), pick([3, 4, 6]), pick)],
};

function onOff(count, [off, on]) {
  const poles = labels(count, 1);
  return [poles.flat(), [at(off, []), at(on, nets(poles, [0]))]];
}
function ways(count, many, names = []) {
  const poles = labels(count, many);
  return [
    poles.flat(),
    Array.from({ length: many }, (_, way) => at(names[way] ?? String(way + 1), nets(poles, [way]))),
  ];
}
function centreOff(count, [up, down]) {
  const poles = labels(count, 2);
  return [poles.flat(), [at('UP', nets(poles, [0]), up), at('OFF', []), at('DOWN', nets(poles, [1]), down)]];
}
function coded(bits) {
  const pole = ['C', ...Array.from({ length: bits }, (_, bit) => String(2 ** bit))];
  return [
    pole,
    Array.from({ length: 2 ** bits }, (_, code) =>
      at(
        String(code),
        nets(
          [pole],
          Array.from({ length: bits }, (__, bit) => bit).filter((bit) => (code >> bit) & 1),
        ),
      ),
    ),
  ];
}
function heat() {
  return [
    ['L', 'N', 'A', 'B', 'C'],
    [
      at('0', []),
      at('1', [
        ['L', 'A'],
        ['N', 'C'],
      ]),
      at('2', [
        ['L', 'A'],
        ['N', 'B'],
      ]),
      at('3', [
        ['L', 'B'],
        ['N', 'A', 'C'],
      ]),
    ],
  ];
}
function push(count, rest = false) {
  const poles = labels(count, rest ? 2 : 1);
  return [
    poles.flat(),
    [at('REST', rest ? nets(poles, [1]) : []), at('PRESSED', nets(poles, [0]), 'momentary')],
  ];
}
function reversing(rests) {
  return [
    lettered(6),
    [
      at(
        'FORWARD',
        [
          ['1', '3'],
          ['2', '4'],
        ],
        rests,
      ),
      at('OFF', []),
      at(
        'BACK',
        [
          ['1', '5'],
          ['2', '6'],
        ],
        rests,
      ),
    ],
  ];
}
function bank(count) {
  const pole = ['C', ...lettered(count)];
  return [pole, [at('0', []), ...lettered(count).map((key, way) => at(key, nets([pole], [way])))]];
}
function cams(count, positions, pick) {
  const terminals = lettered(2 * count);
  return [
    terminals,
    Array.from({ length: positions }, (_, position) =>
      at(
        String(position),
        Array.from({ length: count }, (__, cam) => cam)
          .filter(() => position > 0 && pick([0, 1]) === 1)
          .map((cam) => [terminals[2 * cam], terminals[2 * cam + 1]]),
      ),
    ),
  ];
}

/** What is stated of a part; often less than one would like. */
function factsOf(family, random, number) {
  const some = (share, value) => (random() < share ? value : undefined);
  const pick = (list) => list[Math.floor(random() * list.length)];
  const amps = pick([0.3, 3, 6, 10, 16]);
  const small = amps < 1;
  const facts = {
    number,
    marking: some(
      0.7,
      small
        ? `${amps}A 30V⎓`.replace('⎓', ' DC')
        : pick([
            `${amps}(${Math.max(1, Math.round(amps / 3))})A 250V~`,
            `${amps}A 250V~`,
            `${amps}(${Math.max(1, Math.round(amps / 4))})A 250V~ T85 1E4`,
          ]),
    ),
    minimum: some(small ? 0.6 : 0.2, small ? { volts: 1, milliamps: 0.1 } : { volts: 12, milliamps: 100 }),
    operations: some(0.5, pick([6000, 10_000, 50_000])),
    disconnection: some(small ? 0.1 : 0.6, pick(['full', 'micro', 'full'])),
    protection: some(0.4, pick(['IP40', 'IP54', 'IP65'])),
    makesBeforeBreaks: some(0.4, family === 'wafer' && random() < 0.4),
    wraps: some(0.5, false),
    keyOut: family === 'key switch' ? some(0.7, pick([[0], [0, 1]])) : some(0.3, []),
    earthTerminal: some(0.3, false),
    insulatedShaft: some(0.3, random() < 0.5),
    wiresPerTerminal: some(0.5, pick([1, 1, 2])),
    terminations: some(0.6, pick(['solder lugs', 'tabs 6.3 mm', 'screws'])),
    mounting: some(0.6, pick(['bushing and nut', 'snaps into a cut-out', 'two screws'])),
    bushing: some(0.3, pick([6, 7, 10, 12])),
    depth: some(0.4, 18 + Math.floor(random() * 40)),
    price: some(0.8, Math.round(150 + random() * 2400) / 100),
    inStock: some(0.5, random() < 0.7),
    source: some(0.6, pick(['seller’s page', 'catalogue', 'printed on it'])),
    sourceDate: some(0.4, pick(['2026-03', '2026-08', '2025-11'])),
  };
  return Object.fromEntries(Object.entries(facts).filter(([, value]) => value !== undefined));
}

/**
 * So many invented parts.
 * @param newId where their ids come from
 */
export function inventedParts(count, seed, newId) {
  const random = seededRandom(seed);
  const pick = (list) => list[Math.floor(random() * list.length)];
  const names = Object.keys(FAMILIES);
  return Array.from({ length: count }, (_, index) => {
    const family = names[index % names.length];
    const [form, make] = FAMILIES[family];
    const [terminals, positions] = make(pick);
    const maker = pick(MAKERS);
    const number = `${maker.slice(0, 2).toUpperCase()}${100 + index}`;
    const known = { terminals, positions };
    return {
      ...{ id: newId(), kind: 'part', name: `${maker} ${number}, ${family}`, maker, family, form },
      ...known,
      ...{ note: null, facts: factsOf(family, random, number) },
    };
  });
}

// The known switches and the invented parts of the demo.
import { newIdFrom, seededRandom } from '@which-way/core/switch';

/** Ids of all that is invented here, the same each time. */
export const newId = newIdFrom(seededRandom(20261));
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

export const known = {
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
export const parts = [
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

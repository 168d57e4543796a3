import { tableFamily, type Family } from '../kind.js';

/** The lamp at every programme; top, bottom, both, grill. */
const PLAIN_OVEN = tableFamily(
  'oven-programme',
  'common practice, from memory: the lamp at every programme, with top, bottom, both, grill; or a fan besides',
  'L LAMP TOP BOTTOM GRILL',
  'OFF: | LIGHT: L-LAMP | BOTH: L-LAMP-TOP-BOTTOM | BOTTOM: L-LAMP-BOTTOM | TOP: L-LAMP-TOP | GRILL: L-LAMP-GRILL',
  'OFF: | BOTH: L-LAMP-TOP-BOTTOM | BOTTOM: L-LAMP-BOTTOM | TOP: L-LAMP-TOP | GRILL: L-LAMP-GRILL',
);

/** The same with a fan, by itself or beside the elements. */
const FAN_OVEN = tableFamily(
  'oven-programme',
  PLAIN_OVEN.source,
  'L LAMP TOP BOTTOM GRILL FAN',
  'OFF: | LIGHT: L-LAMP | BOTH: L-LAMP-TOP-BOTTOM | BOTTOM: L-LAMP-BOTTOM | TOP: L-LAMP-TOP | GRILL: L-LAMP-GRILL | FAN: L-LAMP-FAN',
  'OFF: | LIGHT: L-LAMP | BOTH: L-LAMP-TOP-BOTTOM | FAN AND BOTH: L-LAMP-TOP-BOTTOM-FAN | GRILL: L-LAMP-GRILL | FAN AND GRILL: L-LAMP-GRILL-FAN',
);

const OVEN: Family = {
  ...PLAIN_OVEN,
  kinds: (terminals, settings) => [
    ...PLAIN_OVEN.kinds(terminals, settings),
    ...FAN_OVEN.kinds(terminals, settings),
  ],
};

/** Switches of heaters: two elements A–B and B–C, three in a row A–B, B–C and C–D, an oven's, or one that is cycled. */
export const HEAT: readonly Family[] = [
  tableFamily(
    'three-heat',
    'common practice: two elements in series, one, both',
    'L N A B C',
    'OFF: | LOW: L-A N-C | MEDIUM: L-A N-B | HIGH: L-A-C N-B',
    'OFF: | LOW: L-A N-C | MEDIUM: L-A N-B | HIGH: L-B N-A-C',
  ),
  tableFamily(
    'four-heat',
    'common practice: two unlike elements in series, the small one, the large one, both',
    'L N A B C',
    'OFF: | 1: L-A N-C | 2: L-A N-B | 3: L-C N-B | 4: L-A-C N-B',
  ),
  tableFamily(
    'three-elements',
    'three elements in a row: series, two of them, one, two side by side, three side by side (from memory; watts by Ohm’s law)',
    'L N A B C D',
    'OFF: | 1: L-A N-D | 2: L-A N-C | 3: L-A N-B | 4: L-A-C N-B | 5: L-A-C N-B-D',
    'OFF: | 1: L-A N-D | 2: L-A N-B | 3: L-A-C N-B | 4: L-A-C N-B-D',
  ),
  OVEN,
  tableFamily(
    'energy-regulator',
    'common practice: two poles and a pilot lead that is live while it is on',
    'P1 P2 H1 H2 S',
    'OFF: | ON: P1-H1 P2-H2-S',
  ),
  tableFamily(
    'series-parallel',
    'common practice: two alike in series or side by side',
    'P M A1 A2 B1 B2',
    'SERIES: P-A1 A2-B1 B2-M | PARALLEL: P-A1-B1 M-A2-B2',
    'SERIES: P-A1 A2-B1 B2-M | OFF: | PARALLEL: P-A1-B1 M-A2-B2',
  ),
];

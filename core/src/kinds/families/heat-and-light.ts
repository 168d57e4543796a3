import { tableFamily, type Family } from '../kind.js';

/** Switches of heaters: two elements A–B and B–C, or one that is cycled. */
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

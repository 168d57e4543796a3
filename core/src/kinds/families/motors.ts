import { sizedFamily, tableFamily, type Family } from '../kind.js';

/** Switches that turn a motor one way and the other. */
const REVERSING: readonly Family[] = [
  tableFamily(
    'reversing',
    'common practice: supply P M to a motor A B',
    'P M A B',
    'FWD: P-A M-B | OFF: | REV: P-B M-A',
  ),
  tableFamily(
    'reversing-brake',
    'common practice: a permanent-magnet motor braked by its own short',
    'P M A B',
    'FWD: P-A M-B | BRAKE: A-B | REV: P-B M-A',
  ),
  tableFamily(
    'reversing-three-phase',
    'common practice: two of three lines changed over; terminal marking of IEC 60034-8, from memory',
    'L1 L2 L3 U V W',
    'FWD: L1-U L2-V L3-W | OFF: | REV: L1-V L2-U L3-W',
  ),
  tableFamily(
    'reversing-single-phase',
    'common practice: the start winding turned over against the main winding; IEC 60034-8, from memory',
    'L N U1 U2 Z1 Z2',
    'FWD: L-U1-Z1 N-U2-Z2 | OFF: | REV: L-U1-Z2 N-U2-Z1',
  ),
  sizedFamily(
    'drum-controller',
    'common practice: resistor steps cut out alike in both directions',
    { least: 2, most: 6 },
    drum,
  ),
];

/** Steps each way: reversing contacts, and of a resistor one more step shorted at each place. */
function drum(steps: number): { terminals: string; table: string } {
  const taps = Array.from({ length: steps - 1 }, (_, at) => `R${at + 1}`);
  const row = (at: number) => {
    const shorted = Math.abs(at) > 1 ? `R-${taps.slice(0, Math.abs(at) - 1).join('-')}` : '';
    const turned = at === 0 ? '' : at < 0 ? 'P-A M-B' : 'P-B M-A';
    return `${at}: ${[turned, shorted].filter(Boolean).join(' ')}`;
  };
  const rows = Array.from({ length: 2 * steps + 1 }, (_, at) => row(at - steps));
  return { terminals: `P M A B R ${taps.join(' ')}`, table: rows.join(' | ') };
}

const DELTA = 'common practice; terminal marking of IEC 60034-8, from memory';

/** Three-phase motors started in star, or run at two speeds. */
const THREE_PHASE: readonly Family[] = [
  tableFamily(
    'star-delta',
    DELTA,
    'L1 L2 L3 U1 V1 W1 U2 V2 W2',
    'OFF: | Y: L1-U1 L2-V1 L3-W1 U2-V2-W2 | D: L1-U1-W2 L2-V1-U2 L3-W1-V2',
  ),
  tableFamily(
    'star-delta-contacts',
    DELTA,
    'a1 a2 b1 b2 c1 c2 d1 d2 e1 e2 f1 f2 g1 g2 h1 h2',
    // Three line contacts, two that make the star, three that make the delta.
    'OFF: | Y: a1-a2 b1-b2 c1-c2 d1-d2 e1-e2 | D: a1-a2 b1-b2 c1-c2 f1-f2 g1-g2 h1-h2',
  ),
  tableFamily(
    'star-delta-reversing',
    DELTA,
    'L1 L2 L3 U1 V1 W1 U2 V2 W2',
    'D: L1-U1-W2 L2-V1-U2 L3-W1-V2 | Y: L1-U1 L2-V1 L3-W1 U2-V2-W2 | OFF: | Y2: L1-V1 L2-U1 L3-W1 U2-V2-W2 | D2: L1-V1-U2 L2-U1-W2 L3-W1-V2',
  ),
  tableFamily(
    'pole-changing',
    'common practice: tapped winding, low speed in delta, high speed in double star; IEC 60034-8, from memory',
    'L1 L2 L3 1U 1V 1W 2U 2V 2W',
    'OFF: | 1: L1-1U L2-1V L3-1W | 2: L1-2U L2-2V L3-2W 1U-1V-1W',
  ),
];

export const MOTORS: readonly Family[] = [...REVERSING, ...THREE_PHASE];

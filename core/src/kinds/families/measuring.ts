import { sizedFamily, tableFamily, type Family } from '../kind.js';

const lines = (...pairs: string[]) =>
  pairs.map((pair) => {
    const [one, other] = pair.split(' ');
    return `${one}-${other}: ${one}-V1 ${other}-V2`;
  });
/** The three pairs of lines, in the orders in which selectors go through them (common practice, from memory). */
const LINES = [
  lines('L1 L2', 'L2 L3', 'L3 L1'),
  lines('L1 L2', 'L2 L3', 'L1 L3'),
  lines('L1 L2', 'L1 L3', 'L2 L3'),
];
const TO_NEUTRAL = lines('L1 N', 'L2 N', 'L3 N');
const OFF = ['OFF:'];
const rows = (...groups: readonly (readonly string[])[]) => groups.flat().join(' | ');
const METER = 'common practice: one voltmeter on every pair of lines in turn';

/** Selectors of meters and of inputs. */
export const MEASURING: readonly Family[] = [
  tableFamily(
    'voltmeter-lines',
    METER,
    'L1 L2 L3 V1 V2',
    ...LINES.flatMap((pairs) => [rows(OFF, pairs), rows(pairs, OFF), rows(pairs)]),
  ),
  tableFamily(
    'voltmeter-all',
    METER,
    'L1 L2 L3 N V1 V2',
    ...LINES.flatMap((pairs) => [
      rows(OFF, pairs, TO_NEUTRAL),
      rows(OFF, TO_NEUTRAL, pairs),
      // Off in the middle: one group to each side.
      rows(pairs, OFF, TO_NEUTRAL),
      rows(TO_NEUTRAL, OFF, pairs),
      rows(pairs, TO_NEUTRAL, OFF),
      rows(TO_NEUTRAL, pairs, OFF),
      rows(pairs, TO_NEUTRAL),
      rows(TO_NEUTRAL, pairs),
    ]),
  ),
  tableFamily(
    'ammeter',
    'common practice: each current transformer on the meter in turn, the others shorted',
    'T1 T2 T3 A N',
    // Without the off it is the selector with its idle inputs grounded.
    'OFF: T1-T2-T3-N | L1: T1-A T2-T3-N | L2: T2-A T1-T3-N | L3: T3-A T1-T2-N',
    'L1: T1-A T2-T3-N | L2: T2-A T1-T3-N | L3: T3-A T1-T2-N | OFF: T1-T2-T3-N',
  ),
  // Of two inputs it is a crossing.
  sizedFamily('shorted-idle', 'common practice: inputs that are not chosen are grounded', { least: 3, most: 12 }, (ways) => {
    const inputs = Array.from({ length: ways }, (_, at) => `I${at + 1}`);
    const table = inputs.map((one) => `${one}: C-${one} G-${inputs.filter((other) => other !== one).join('-')}`);
    return { terminals: `C G ${inputs.join(' ')}`, table: table.join(' | ') };
  }),
]; // prettier-ignore

import { id, list, object, oneOf, orNull, says, tagged, type TypeOf } from '../../../schema/index.js';
import type { LoadId, SupplyId, WireId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';

/** Names of the ends that loads have; which of them a load has is a matter of how it is made. */
export const LOAD_ENDS = [
  '1',
  '2',
  '+',
  '-',
  'C',
  'A',
  'B',
  'R',
  'S',
  'M1',
  'M2',
  'S1',
  'S2',
  'U1',
  'V1',
  'W1',
  'U2',
  'V2',
  'W2',
  'A1',
  'A2',
  'F1',
  'F2',
  'L1',
  'L2',
  'H1',
  'H2',
  'T1',
  'T2',
  'T3',
  'B1',
  'B2',
  '11',
  '12',
  '14',
  '3',
  '4',
  '5',
  '6',
  '13',
  '21',
  '22',
] as const;
export type LoadEnd = (typeof LOAD_ENDS)[number];

export const wireEndSchema = tagged('at', {
  supply: { supply: id<SupplyId>() },
  load: { load: id<LoadId>(), end: oneOf(LOAD_ENDS) },
  /** It ends in nothing: capped, or cut off. */
  nowhere: {},
  /** It goes to another switch, or to a device: which, the system of the machine says. */
  elsewhere: {},
});
/** Where a wire ends, away from the switch. */
export type WireEnd = TypeOf<typeof wireEndSchema>;

export const wireEnded = defineKind('wire-ended', {
  says: 'where a wire ends, away from the switch; the newest of each wire counts',
  fields: {
    wire: id<WireId>(),
    ends: says(
      'Several where it goes on from one to the next; none: not known.',
      list(wireEndSchema, { maxItems: 12 }),
    ),
  },
  undo: ['tag', 'table'],
  reading: 'extends',
  // Version 2 knows ends at another switch.
  upgrades: { 1: (what) => what },
});

const loadTieSchema = object({
  load: id<LoadId>(),
  end: oneOf(LOAD_ENDS),
  to: says('null: nothing is said any more.', orNull(wireEndSchema)),
});

export const loadTied = defineKind('load-tied', {
  says: 'where an end of a load goes without the switch; the newest of each end counts',
  fields: { tie: loadTieSchema },
  undo: ['tag', 'table'],
  reading: 'extends',
  // Version 2 knows ends at another switch.
  upgrades: { 1: (what) => what },
});

import {
  above,
  amount,
  count,
  flag,
  id,
  list,
  MARKING_LETTERS,
  MECHANICS_LETTERS,
  object,
  oneOf,
  optional,
  says,
  text,
  TITLE_LETTERS,
  type TypeOf,
} from '../schema/index.js';
import type { PhotoId } from './id.js';

/** What a rated current is for. */
export const RATED_FOR = ['resistive', 'motor', 'lamp', 'peak', 'inductive'] as const;

const partRatingSchema = object({
  load: oneOf(RATED_FOR),
  amps: above(0, 10_000),
  volts: optional(above(0, 1e6)),
  supply: optional(oneOf(['ac', 'dc', 'ac-dc'] as const)),
  timeConstant: says('Milliseconds (L/R) for which it is stated, on DC.', optional(above(0, 1e5))),
});

const millimetres = above(0, 10_000);

/**
 * What is stated of a part besides its wiring. A field that is absent is unknown: it is asked of the seller, and never taken for a
 * pass or for a fault.
 */
export const partFactsSchema = object({
  number: optional(text(TITLE_LETTERS, 1)),
  marking: says('As it stands on the part; ratings are read out of it.', optional(text(MARKING_LETTERS, 1))),
  ratings: optional(list(partRatingSchema, { maxItems: 40 })),
  minimum: says(
    'The least load for which its contacts are meant.',
    optional(object({ volts: above(0, 1e6), milliamps: above(0, 1e7) })),
  ),
  contacts: says(
    'Of what its contacts are: gold is for signals, and burns off under larger loads.',
    optional(oneOf(['gold', 'silver'] as const)),
  ),
  operations: optional(count(1, 1e9)),
  hottest: says('Degrees Celsius around it, at most.', optional(amount(-60, 500))),
  disconnection: optional(oneOf(['full', 'mini', 'micro', 'electronic'] as const)),
  protection: says('IP code.', optional(text(8, 2))),
  makesBeforeBreaks: optional(flag),
  wraps: says('Turns past its last position back to its first.', optional(flag)),
  directOpening: optional(flag),
  noVoltRelease: optional(flag),
  keyOut: says(
    'Positions, from 0, at which its key comes out; empty: it has none.',
    optional(list(count(0, 63))),
  ),
  earthTerminal: optional(flag),
  insulatedShaft: optional(flag),
  wiresPerTerminal: optional(count(1, 8)),
  terminations: optional(text(MECHANICS_LETTERS, 1)),
  mounting: optional(text(MECHANICS_LETTERS, 1)),
  connector: optional(text(MECHANICS_LETTERS, 1)),
  cutOut: optional(text(MECHANICS_LETTERS, 1)),
  boltSpacing: optional(millimetres),
  bushing: optional(millimetres),
  shaftDiameter: optional(millimetres),
  shaftLength: optional(millimetres),
  depth: optional(millimetres),
  price: optional(amount(0, 1e7)),
  inStock: optional(flag),
  source: optional(text(TITLE_LETTERS, 1)),
  sourceDate: optional(text(40, 4)),
  photos: says(
    'Pictures of it, by their ids.',
    optional(list(id<PhotoId>(), { minItems: 1, maxItems: 12, uniqueItems: true })),
  ),
});
export type PartFacts = TypeOf<typeof partFactsSchema>;

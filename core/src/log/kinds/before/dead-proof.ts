import {
  amount,
  flag,
  list,
  MOST_DEAD_READINGS,
  MOST_DEAD_POINTS,
  MOST_POSITIONS_OF_A_HANDLE,
  object,
  oneOf,
  orNull,
  POINT_LETTERS,
  POSITION_NAME_LETTERS,
  says,
  text,
  two,
  type TypeOf,
} from '../../../schema/index.js';

/**
 * What a tester's tip lies on: a conductor of the box; the earth of the box; an earth or a neutral brought there on a
 * long lead; the bare box itself, which may be earthed or not.
 */
export const POINT_KINDS = ['conductor', 'earth', 'long-earth', 'long-neutral', 'box'] as const;
export type PointKind = (typeof POINT_KINDS)[number];

const pointName = text(POINT_LETTERS, 1);

export const deadPointSchema = object({ name: pointName, is: oneOf(POINT_KINDS) });
/** A place where a tester's tip lies. */
export type DeadPoint = TypeOf<typeof deadPointSchema>;

export const CURRENTS = ['AC', 'DC'] as const;
/** Alternating or direct: what the dial was on. */
export type Current = (typeof CURRENTS)[number];

export const signedVolts = amount(-1e6, 1e6);

export const voltReadingSchema = object({
  between: says('The names of the two points.', two(pointName)),
  position: says(
    'The position of the handle; null: measured in every position, the lowest before isolation, the highest after.',
    orNull(text(POSITION_NAME_LETTERS, 1)),
  ),
  volts: says('As displayed, its sign in it.', signedVolts),
  current: oneOf(CURRENTS),
  lowImpedance: says('The tester loads what it measures: ghost volts vanish on it.', flag),
});
/** Volts between two points. */
export type VoltReading = TypeOf<typeof voltReadingSchema>;

const readings = list(voltReadingSchema, { maxItems: MOST_DEAD_READINGS });

export const deadProofFields = {
  points: list(deadPointSchema, { maxItems: MOST_DEAD_POINTS }),
  positions: says(
    'The positions of the handle, by name.',
    list(text(POSITION_NAME_LETTERS, 1), { maxItems: MOST_POSITIONS_OF_A_HANDLE, uniqueItems: true }),
  ),
  noEarth: says('There is no earth in this box: looked for, and not found.', flag),
  before: says('Before isolation, live: that a reference is one.', readings),
  after: says('After isolation.', readings),
};
export const deadProofSchema = object(deadProofFields);
/** What was measured, against what, before isolation and after it. */
export type DeadProof = TypeOf<typeof deadProofSchema>;

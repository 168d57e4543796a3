import {
  amount,
  flag,
  id,
  list,
  MOST_TERMINALS,
  object,
  only,
  optional,
  says,
  tagged,
  type TypeOf,
} from '../../../schema/index.js';
import type { ReadingId, SettingId, TerminalId } from '../../../switch/index.js';

export const ohmsSchema = amount(0, 1e12);

export const leadSchema = list(id<TerminalId>(), {
  minItems: 1,
  maxItems: MOST_TERMINALS,
  uniqueItems: true,
});
/** One meter lead, on one terminal, or on several that are clipped together. */
export type Lead = TypeOf<typeof leadSchema>;

export const valueSchema = tagged('kind', {
  ohms: { ohms: says('As displayed, the lead zero in it.', ohmsSchema) },
  over: {},
  tone: { sounded: flag },
  unsteady: {},
});
/** What the meter said. */
export type Value = TypeOf<typeof valueSchema>;

export const fromOtherSideSchema = optional(
  says(
    'The handle was brought there from the side from which it does not usually come; left out otherwise.',
    only(true),
  ),
);

export const readingSchema = object({
  id: id<ReadingId>(),
  setting: id<SettingId>(),
  red: leadSchema,
  black: leadSchema,
  value: valueSchema,
  fromOtherSide: fromOtherSideSchema,
});
/** One measurement. Never edited, only superseded. */
export type Reading = TypeOf<typeof readingSchema>;

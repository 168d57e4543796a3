import {
  above,
  amount,
  METER_NAME_LETTERS,
  object,
  orNull,
  says,
  text,
  type TypeOf,
} from '../../../schema/index.js';
import { defineKind } from '../define-kind.js';
import { ohmsSchema, valueSchema } from './reading.js';

const rangeSchema = above(0, 1e9);

export const meterSchema = object({
  name: text(METER_NAME_LETTERS),
  resolutionOhms: says('Smallest step of the lowest ohms range, in ohms.', above(0, 1000)),
  percent: says("Accuracy as 'percent of the reading plus so many counts'.", amount(0, 50)),
  counts: amount(0, 1000),
  beeperOhms: says('The beeper sounds somewhere below this many ohms (20 to 200 by meter).', ohmsSchema),
  lowOhms: says('At or below this many ohms a reading joins. Decides topology, nothing else.', ohmsSchema),
  highOhms: says('At or above this many ohms a reading parts; over-range parts too.', ohmsSchema),
  rangeOhms: says(
    "Set by hand to so many ohms: over-range means only 'more than that'. Null: it ranges by itself.",
    orNull(rangeSchema),
  ),
  testMilliamps: says(
    'What it sends through a closed contact to read ohms, in mA; null: nobody has said.',
    orNull(above(0, 10_000)),
  ),
  testVolts: says('What stands across open leads in ohms; null: nobody has said.', orNull(above(0, 100))),
  autoOffMinutes: says(
    'It goes to sleep when nothing was read for so many minutes; null: it stays on.',
    orNull(above(0, 1440)),
  ),
  leadOhms: says(
    'What its leads read held together when they are clean; null: nobody has said.',
    orNull(ohmsSchema),
  ),
});
/** What is known of the meter in hand: enough to say what it can tell and what it cannot. */
export type MeterProfile = TypeOf<typeof meterSchema>;

/** An ordinary handheld. The bands are common practice and may be edited; it sleeps after 10 to 30 minutes by meter (from memory). */
export const ORDINARY_METER: MeterProfile = {
  name: 'Handheld, 0.1 ohm',
  resolutionOhms: 0.1,
  percent: 0.8,
  counts: 3,
  beeperOhms: 50,
  lowOhms: 2,
  highOhms: 1e6,
  rangeOhms: null,
  testMilliamps: null,
  testVolts: null,
  autoOffMinutes: 10,
  leadOhms: null,
};

export const meterChecked = defineKind('meter-checked', {
  says: "leads together, and the meter's profile",
  fields: { leadsTogether: valueSchema, meter: meterSchema },
  undo: ['map'],
  reading: 'looks back',
  upgrades: {
    1: (what) => ({ ...what, meter: { ...(what['meter'] as object), rangeOhms: null } }),
    2: (what) => ({
      ...what,
      meter: {
        ...(what['meter'] as object),
        ...{ testMilliamps: null, testVolts: null, autoOffMinutes: 10, leadOhms: null },
      },
    }),
  },
});

export const meterFailed = defineKind('meter-failed', {
  says: 'leads together that did not read as they should: what was read since the last good check is doubtful',
  fields: { leadsTogether: valueSchema },
  undo: ['map'],
  reading: 'extends',
});

export const meterRanged = defineKind('meter-ranged', {
  says: 'that the meter was set to a range by hand, or ranges by itself; the leads are held together again',
  fields: { rangeOhms: orNull(rangeSchema) },
  undo: ['map'],
  reading: 'extends',
});

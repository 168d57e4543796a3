import {
  above,
  DRIVER_LETTERS,
  list,
  object,
  says,
  text,
  UNIT_LETTERS,
  type TypeOf,
} from '../../schema/index.js';
import { NO_READING, type WiredReading } from './value.js';

/** How a handheld that only talks writes a line, as data: no code knows any model. */
export const spokenDriverSchema = object({
  start: says('What a reading begins with; empty: anything.', text(DRIVER_LETTERS)),
  mode: says(
    'What stands in a line while it measures resistance; empty: nothing of its own.',
    text(DRIVER_LETTERS),
  ),
  over: says('What stands there instead of digits when it is over range.', text(DRIVER_LETTERS, 1)),
  units: says(
    'Units as it writes them, each with how many ohms it is; the longest that stands in the line counts.',
    list(object({ unit: text(UNIT_LETTERS, 1), ohms: above(0, 1e9) }), { minItems: 1, maxItems: 8 }),
  ),
});
export type SpokenDriver = TypeOf<typeof spokenDriverSchema>;

/** A plain way to write it, to begin with: `0.32 Ohm`, `1.2 kOhm`, `OL`. */
export const PLAIN_DRIVER: SpokenDriver = {
  start: '',
  mode: '',
  over: 'OL',
  units: [
    { unit: 'MOhm', ohms: 1e6 },
    { unit: 'kOhm', ohms: 1e3 },
    { unit: 'Ohm', ohms: 1 },
  ],
};

const DIGITS = /[+-]?\d+(?:\.\d+)?/;

/** What a line says; null: it is none of its readings, as while it measures something else. */
export function spokenReading(line: string, { start, mode, over, units }: SpokenDriver): WiredReading | null {
  const words = line.trim();
  if (!words.startsWith(start) || !words.includes(mode)) return null;
  const rest = words.slice(start.length);
  if (rest.includes(over)) return { value: { kind: 'over' }, rangeOhms: null };
  const unit = units
    .filter((one) => rest.includes(one.unit))
    .toSorted((one, other) => other.unit.length - one.unit.length)[0];
  const digits = DIGITS.exec(rest);
  if (!unit || !digits) return null;
  const ohms = Number(digits[0]) * unit.ohms;
  if (!Number.isFinite(ohms) || ohms < -1) return NO_READING;
  // Where it shows no range, the unit and the places behind its point tell when it changed.
  const places = digits[0].split('.')[1]?.length ?? 0;
  return { value: { kind: 'ohms', ohms: Math.max(0, ohms) }, rangeOhms: unit.ohms / 10 ** places };
}

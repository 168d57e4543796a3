import { NO_READING, type WiredReading, type WiredValue } from './value.js';

/** What a bench meter is set to. */
export const WIRED_MODES = ['two-wire', 'four-wire', 'continuity'] as const;
export type WiredMode = (typeof WIRED_MODES)[number];

/** SCPI-1999, volume 1, 7.2.1.4 and 7.2.1.5 (from memory): infinity, and what is not a number. */
const [INFINITE, NOT_A_NUMBER] = [9.9e37, 9.91e37];

/** Decimal numeric response data, IEEE 488.2, 8.7.2 to 8.7.4 (NR1, NR2, NR3; from memory). */
const NUMBER = /^[+-]?(\d+|\d+\.\d+)(E[+-]\d{1,3})?$/;

/** A number as an instrument answers it; null: that is none. */
export function scpiNumber(text: string): number | null {
  return NUMBER.test(text) ? Number(text) : null;
}

/** What a number says of the leads. */
function valueOf(number: number | null): WiredValue {
  if (number === null || number >= NOT_A_NUMBER || number < -1) return { kind: 'none' };
  if (number >= INFINITE) return { kind: 'over' };
  // What lies under the zero by the meter's own offset is nothing.
  return { kind: 'ohms', ohms: Math.max(0, number) };
}

const FUNCTION: Record<WiredMode, string> = { 'two-wire': 'RES', 'four-wire': 'FRES', continuity: 'CONT' };

/** How a meter is set to a mode: cleared, its function, a reading for each trigger. */
export const scpiSetUp = (mode: WiredMode): string[] => [
  '*CLS',
  `CONF:${FUNCTION[mode]}`,
  ...(mode === 'continuity' ? [] : [`SENS:${FUNCTION[mode]}:RANG:AUTO ON`]),
  'TRIG:SOUR IMM',
  'TRIG:COUN 1',
];

/** Asks who it is; its answer has four fields (IEEE 488.2, 10.14). */
export const SCPI_IDENTIFY = '*IDN?';
/** Asks for the oldest error of its queue; `0` is none (SCPI-1999, volume 2, 21.8). */
export const SCPI_ERROR = 'SYST:ERR?';

/** Triggers, reads, and asks for the range in which it read, in one message; continuity has one range. */
export const scpiRead = (mode: WiredMode): string =>
  mode === 'continuity' ? 'READ?' : `READ?;:SENS:${FUNCTION[mode]}:RANG?`;

/** The answer to `scpiRead`: of several values the first; null: that is no answer to it. */
export function scpiReading(answer: string): WiredReading | null {
  const [values = '', range, ...more] = answer.trim().split(';');
  const number = scpiNumber((values.split(',')[0] ?? '').trim());
  if (number === null || more.length > 0) return null;
  const rangeOhms = range === undefined ? null : scpiNumber(range.trim());
  if (range !== undefined && (rangeOhms === null || rangeOhms <= 0)) return null;
  const value = valueOf(number);
  return value.kind === 'none' ? NO_READING : { value, rangeOhms };
}

/** Printable letters of what came, so many at most: nothing of an answer is ever shown as it came. */
export const printable = (text: string, most: number): string =>
  text.replace(/[^\x20-\x7e]/g, '').slice(0, most);

/** Who it is: maker and model; null: that is no identification. */
export function scpiIdentity(answer: string): string | null {
  const fields = answer.trim().split(',');
  const [maker = '', model = ''] = fields.map((field) => printable(field.trim(), 30));
  return fields.length >= 4 && maker !== '' && model !== '' ? `${maker} ${model}` : null;
}

/** An error of its queue; null: that is no such answer. Code 0: there is none. */
export function scpiError(answer: string): { code: number; text: string } | null {
  const match = /^\s*([+-]?\d{1,5})\s*,\s*"((?:[^"]|"")*)"\s*$/.exec(answer);
  return match
    ? { code: Number(match[1]), text: printable((match[2] ?? '').replaceAll('""', '"'), 60) }
    : null;
}

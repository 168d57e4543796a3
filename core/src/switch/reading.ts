import type { ReadingId, SettingId, TerminalId } from './id.js';

/** One meter lead, on one terminal, or on several that are clipped together. */
export type Lead = TerminalId[];

/** What the meter said. */
export type Value =
  | { kind: 'ohms'; ohms: number }
  | { kind: 'over' }
  | { kind: 'tone'; sounded: boolean }
  | { kind: 'unsteady' };

/** One measurement. Never edited, only superseded. */
export interface Reading {
  id: ReadingId;
  setting: SettingId;
  red: Lead;
  black: Lead;
  value: Value;
  /** The handle was brought there from the side from which it does not usually come; left out otherwise. */
  fromOtherSide?: true;
}

/** The two terminals of a reading between single terminals; null for a bundle or a lead on nothing. */
export function pairOf(reading: Reading): [TerminalId, TerminalId] | null {
  const [red, black] = [reading.red[0], reading.black[0]];
  if (reading.red.length !== 1 || reading.black.length !== 1 || !red || !black || red === black) return null;
  return [red, black];
}

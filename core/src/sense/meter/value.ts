/**
 * One thing that a meter says between its leads. `over`: more than its range; `none`: it has nothing to say yet, or what came was no
 * reading: never an open.
 */
export type WiredValue = { kind: 'ohms'; ohms: number } | { kind: 'over' } | { kind: 'none' };

/** What a meter says, with the range in which it said so; null: it doesn't tell its range. */
export interface WiredReading {
  value: WiredValue;
  rangeOhms: number | null;
}

/** Nothing that counts. */
export const NO_READING: WiredReading = { value: { kind: 'none' }, rangeOhms: null };

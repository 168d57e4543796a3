/**
 * Full-load currents of single-phase AC motors, in amperes, by nameplate horsepower: the table of the North American
 * installation code (NFPA 70, table 430.248), from memory. At 115 V for systems of 110 to 125 V, at 230 V for 220 to 250 V.
 */
const SINGLE_PHASE: readonly (readonly [horsepower: number, at115: number, at230: number])[] = [
  [1 / 6, 4.4, 2.2],
  [1 / 4, 5.8, 2.9],
  [1 / 3, 7.2, 3.6],
  [1 / 2, 9.8, 4.9],
  [3 / 4, 13.8, 6.9],
  [1, 16, 8],
  [1.5, 20, 10],
  [2, 24, 12],
  [3, 34, 17],
  [5, 56, 28],
  [7.5, 80, 40],
  [10, 100, 50],
];

/** What a motor draws in its first moment, as a multiple of its full-load current (common practice in the switch standards). */
export const LOCKED_ROTOR = 6;

/**
 * The full-load current that stands for a horsepower rating, in amperes; never 746 W over volts. null where the table has no such
 * size or voltage: then it stays unknown.
 */
export function fullLoadAmps(horsepower: number, volts: number): number | null {
  const row = SINGLE_PHASE.find(([size]) => Math.abs(size - horsepower) < 0.01 * size);
  if (!row) return null;
  if (volts >= 110 && volts <= 125) return row[1];
  return volts >= 220 && volts <= 250 ? row[2] : null;
}

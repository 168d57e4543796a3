/**
 * Contact rating designations for control circuits, as the published control-circuit standard (IEC 60947-5-1, annex A)
 * and its North American counterpart give them; figures from memory. The letter is the thermal current and the power
 * made and broken, the number the highest voltage.
 */
export interface Designation {
  letter: string;
  /** Highest rated voltage that it covers. */
  volts: number;
  supply: 'ac' | 'dc';
  /** Utilisation category that the figures are for. */
  category: 'AC-15' | 'DC-13';
  /** Conventional enclosed thermal current, in amperes. */
  thermalAmperes: number;
  /** Make and break current at each rated voltage up to `volts`, in amperes. */
  currents: { volts: number; make: number; break: number }[];
}

interface Row {
  thermal: number;
  supply: 'ac' | 'dc';
  limits: readonly number[];
  at: readonly (readonly [volts: number, make: number, breaks: number])[];
}

/** From memory of IEC 60947-5-1, table A.1. For direct current make and break are the same. */
const ROWS: Record<string, Row> = {
  A: {
    thermal: 10,
    supply: 'ac',
    limits: [150, 300, 600],
    at: [
      [120, 60, 6],
      [240, 30, 3],
      [480, 15, 1.5],
      [600, 12, 1.2],
    ],
  },
  B: {
    thermal: 5,
    supply: 'ac',
    limits: [150, 300, 600],
    at: [
      [120, 30, 3],
      [240, 15, 1.5],
      [480, 7.5, 0.75],
      [600, 6, 0.6],
    ],
  },
  C: {
    thermal: 2.5,
    supply: 'ac',
    limits: [150, 300, 600],
    at: [
      [120, 15, 1.5],
      [240, 7.5, 0.75],
      [480, 3.75, 0.375],
      [600, 3, 0.3],
    ],
  },
  D: {
    thermal: 1,
    supply: 'ac',
    limits: [150, 300],
    at: [
      [120, 3.6, 0.6],
      [240, 1.8, 0.3],
    ],
  },
  E: { thermal: 0.5, supply: 'ac', limits: [150], at: [[120, 1.8, 0.3]] },
  N: {
    thermal: 10,
    supply: 'dc',
    limits: [150, 300, 600],
    at: [
      [125, 2.2, 2.2],
      [250, 1.1, 1.1],
      [600, 0.4, 0.4],
    ],
  },
  P: {
    thermal: 5,
    supply: 'dc',
    limits: [150, 300, 600],
    at: [
      [125, 1.1, 1.1],
      [250, 0.55, 0.55],
      [600, 0.2, 0.2],
    ],
  },
  Q: {
    thermal: 2.5,
    supply: 'dc',
    limits: [150, 300, 600],
    at: [
      [125, 0.55, 0.55],
      [250, 0.27, 0.27],
      [600, 0.1, 0.1],
    ],
  },
  R: {
    thermal: 1,
    supply: 'dc',
    limits: [150, 300],
    at: [
      [125, 0.22, 0.22],
      [250, 0.11, 0.11],
    ],
  },
};

/** Decodes a designation such as A600, B300 or Q300; null when there is no such one. */
export function decodeDesignation(text: string): Designation | null {
  const [, letter = '', digits = ''] = /^([A-EN-R])(150|300|600)$/.exec(text.trim().toUpperCase()) ?? [];
  const row = ROWS[letter];
  const volts = Number(digits);
  if (!row || !row.limits.includes(volts)) return null;
  return {
    letter,
    volts,
    supply: row.supply,
    category: row.supply === 'ac' ? 'AC-15' : 'DC-13',
    thermalAmperes: row.thermal,
    currents: row.at
      .filter(([at]) => at <= volts)
      .map(([at, make, breaks]) => ({ volts: at, make, break: breaks })),
  };
}

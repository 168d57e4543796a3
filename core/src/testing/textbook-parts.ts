import type { Drawn } from '../machine/index.js';

/**
 * A machine with the settings of its switch, and what each load does there: `off`, `full`, `part 25`. The behaviour is what the named
 * sort of textbook prints, or what Ohm's law gives for the printed figures; all written down from memory. What is bridged on the live
 * side is off and live: `floating`.
 */
export interface BookCircuit {
  of: string;
  drawn: Drawn;
  settings: [name: string, joins: string, does: string][];
}

export const L = { kind: 'L', volts: 230 } as const;
export const N = { kind: 'N', volts: null } as const;
export const MAINS = { mains: L, return: N };
export const plus = (volts: number) => ({ kind: '+', volts, current: 'DC' }) as const;
export const ZERO = { kind: '0', volts: null, current: 'DC' } as const;
export const phase = (kind: 'L1' | 'L2' | 'L3') => ({ kind, volts: 230 }) as const;
export const PHASES = { P1: phase('L1'), P2: phase('L2'), P3: phase('L3') };
export const lamp = (watts = 60) => ({ kind: 'lamp', watts, volts: 230 }) as const;
export const heat = (watts: number, volts = 230) => ({ kind: 'resistive', watts, volts }) as const;
export const small = (volts: number) => ({ kind: 'lamp', watts: 10, volts, current: 'DC' }) as const;
export const motor = { kind: 'motor', make: 'permanent-magnet', volts: 12, current: 'DC' } as const;
export const threePhase = { kind: 'motor', make: 'three-phase', volts: 400 } as const;
export const DELTA_LEADS =
  'L1>P1 L2>P2 L3>P3 U>motor.U1 V>motor.V1 W>motor.W1 motor.U2>motor.V1 motor.V2>motor.W1 motor.W2>motor.U1';
/** Three elements for 400 V, an end each on its own terminal, the others on S. */
export const STAR_HEATERS: Drawn = {
  terminals: 'L1 L2 L3 A B C S Z',
  supplies: { ...PHASES, return: N },
  loads: { a: heat(1000, 400), b: heat(1000, 400), c: heat(1000, 400) },
  wires: 'L1>P1 L2>P2 L3>P3 A>a.1 B>b.1 C>c.1 S>a.2 S>b.2 S>c.2 Z>return',
};
export const DELTA_HEATERS: Drawn = {
  terminals: 'L1 L2 L3 A B C',
  supplies: PHASES,
  loads: STAR_HEATERS.loads,
  wires: 'L1>P1 L2>P2 L3>P3 A>a.1 A>c.2 B>b.1 B>a.2 C>c.1 C>b.2',
};

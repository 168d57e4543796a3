import type { LinkKind } from '../log/index.js';

/** Ohms that a load should read cold, as a band, and where that comes from. */
export interface ExpectedOhms {
  low: number;
  high: number;
  /**
   * `nameplate`: from volts and watts by Ohm's law. `usual`: what such loads at this voltage usually read (common
   * practice, from memory).
   */
  by: 'nameplate' | 'usual';
}

/** What the nameplate says. */
export interface Nameplate {
  volts: number;
  watts: number;
}

/** Share of the working resistance that a load reads cold and at rest. */
const COLD: Partial<Record<LinkKind, readonly [number, number]>> = {
  // Power within +5 and -10 per cent (appliance standard IEC 60335-1, from memory), and a little for the cold wire.
  element: [0.85, 1.12],
  // A tungsten filament reads a tenth to a fifteenth of its hot resistance (common practice).
  lamp: [1 / 16, 1 / 8],
  // A commutator motor at rest makes no counter-voltage: a twentieth to a third of volts over amperes (common practice).
  brushes: [1 / 25, 1 / 3],
  motor: [1 / 25, 1 / 2],
};

/** Usual bands on mains, cold and at rest, in ohms (common practice, from memory). */
const USUAL: Partial<Record<LinkKind, readonly [number, number]>> = {
  element: [10, 600],
  motor: [1, 800],
  brushes: [1, 200],
  lamp: [2, 400],
  coil: [5, 5000],
};

/**
 * What a whole load should read from end to end, cold and at rest; null where nothing can be said, as of electronics.
 * R = V^2 / P; parts in series are taken as the one that has the most ohms.
 * @param kinds what the load is made of
 * @throws RangeError when volts or watts are not positive.
 * @example expectedOhms(['element'], { volts: 230, watts: 1000 }) // 45 to 59 ohm
 */
export function expectedOhms(kinds: readonly LinkKind[], nameplate: Nameplate | null): ExpectedOhms | null {
  if (kinds.includes('electronics')) return null;
  const kind = (['element', 'lamp', 'coil', 'brushes', 'motor'] as const).find((one) => kinds.includes(one));
  if (!kind) return null;
  const share = COLD[kind];
  if (nameplate && share) {
    const { volts, watts } = nameplate;
    if (!(volts > 0) || !(watts > 0)) throw new RangeError('volts and watts are positive');
    const hot = (volts * volts) / watts;
    return { low: hot * share[0], high: hot * share[1], by: 'nameplate' };
  }
  const usual = USUAL[kind];
  return usual ? { low: usual[0], high: usual[1], by: 'usual' } : null;
}

/** A conductor by its gauge. */
export interface GaugedWire {
  /** Diameter of the solid round conductor with this area, in millimetres. */
  diameter: number;
  /** Cross-section in square millimetres. */
  area: number;
}

/**
 * A conductor of the American wire gauge: diameter 0.127 mm x 92^((36 - n) / 39) (the published definition, ASTM B258).
 * @param gauge number of the gauge; 0, -1, -2, -3 for 1/0, 2/0, 3/0, 4/0.
 * @throws RangeError outside 4/0 to 40.
 */
export function americanGauge(gauge: number): GaugedWire {
  if (!Number.isInteger(gauge) || gauge < -3 || gauge > 40) throw new RangeError(`no gauge ${gauge}`);
  const diameter = 0.127 * 92 ** ((36 - gauge) / 39);
  return { diameter, area: (Math.PI / 4) * diameter ** 2 };
}

/** Resistivity of annealed copper at 20 degrees C, in ohm square millimetre per metre (IEC 60028: 1/58). */
const COPPER = 1 / 58;

/** Resistance of a copper loop there and back, at 20 degrees C, in ohms, from length in metres and area in mm2. */
export function loopOhms(length: number, area: number): number {
  if (!(length >= 0) || !(area > 0)) throw new RangeError('length and area must be positive');
  return (2 * length * COPPER) / area;
}

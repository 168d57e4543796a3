import type { MeterProfile, Value } from '../log/index.js';

/** What a reading is worth in ohms: the lead zero taken off, and how far the meter may be out. */
export interface Quantity {
  /** Reading minus lead zero, no more exact than the display; may come out below nothing by the meter's own error, and is never clamped. */
  ohms: number;
  /** Plus or minus, in ohms: accuracy of the reading and of the zero. */
  uncertainty: number;
  /** True when the meter cannot tell this from nothing. */
  belowResolution: boolean;
}

/** Accuracy of one display value by the usual form 'percent of reading plus counts' (common practice of data sheets). */
export function uncertaintyOf(ohms: number, meter: MeterProfile): number {
  return (Math.abs(ohms) * meter.percent) / 100 + meter.counts * displayStep(ohms, meter);
}

/**
 * The step of the display at this many ohms: ranges grow by tens from the lowest, which has 4000 counts
 * at best resolution (from memory, usual for handhelds).
 */
export function displayStep(ohms: number, meter: MeterProfile): number {
  let step = meter.resolutionOhms;
  while (Math.abs(ohms) > step * 4000 && step < 1e9) step *= 10;
  return step;
}

/** The lead zero of a check, in ohms; null when the check was a tone or nothing usable. */
export function zeroOf(leadsTogether: Value): number | null {
  return leadsTogether.kind === 'ohms' ? leadsTogether.ohms : null;
}

/**
 * Takes the zero off a display value; a zero below half a step of the display takes nothing off, since nothing is known that exactly.
 * @example
 * quantityOf(0.5, 0.2, { kind: 'm', beepsBelow: 30, resolutionOhms: 0.1, percent: 1, counts: 3 }).ohms // => 0.3
 */
export function quantityOf(ohms: number, zeroOhms: number | null, meter: MeterProfile): Quantity {
  const zero = zeroOhms ?? 0;
  const seen = Math.abs(zero) >= displayStep(ohms, meter) / 2 ? zero : 0;
  const net = Number((ohms - seen).toPrecision(12));
  const uncertainty =
    uncertaintyOf(ohms, meter) + (zeroOhms === null ? 0 : meter.counts * meter.resolutionOhms);
  return { ohms: net, uncertainty, belowResolution: Math.abs(net) < meter.resolutionOhms };
}

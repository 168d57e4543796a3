import { ORDINARY_METER, type MeterProfile } from '../../log/index.js';
import { uncertaintyOf } from '../quantity.js';

/** Kinds of meter that a bench has, by what their lowest range shows (common practice; figures from memory, as data sheets state them). */
export const METER_KINDS: readonly MeterProfile[] = [
  ORDINARY_METER,
  {
    ...ORDINARY_METER,
    name: 'Handheld, 0.01 ohm',
    resolutionOhms: 0.01,
    percent: 0.5,
    counts: 10,
    beeperOhms: 50,
  },
  {
    ...ORDINARY_METER,
    name: 'Simple meter, 1 ohm',
    resolutionOhms: 1,
    percent: 1.5,
    counts: 3,
    beeperOhms: 100,
  },
  {
    ...ORDINARY_METER,
    name: 'Milliohm meter, four leads',
    resolutionOhms: 0.001,
    percent: 0.2,
    counts: 3,
    beeperOhms: 10,
    // It hangs on the mains, and stays on.
    autoOffMinutes: null,
  },
];

/** What a known resistor says of a meter. */
export interface KnownCheck {
  /** How far the reading is off, in ohms; below nothing: it reads low. */
  off: number;
  /** How far the profile says it may be off, with the resistor’s own tolerance. */
  allowed: number;
  within: boolean;
}

/**
 * A resistor of known value, read by the meter with its leads’ own ohms already taken off.
 * @param knownOhms what is printed on it
 * @param tolerancePercent what it may be off itself
 */
export function checkKnown(
  meter: MeterProfile,
  {
    knownOhms,
    tolerancePercent,
    readOhms,
  }: { knownOhms: number; tolerancePercent: number; readOhms: number },
): KnownCheck {
  const off = Number((readOhms - knownOhms).toPrecision(12));
  const allowed = uncertaintyOf(readOhms, meter) + (knownOhms * tolerancePercent) / 100;
  return { off, allowed, within: Math.abs(off) <= allowed + 1e-9 };
}

/** More ohms than this no beeper sounds through (common practice). */
const MOST_SOUNDING_OHMS = 200;

/**
 * A beep means fewer ohms than this. What a kind of meter is said to do is not what this one does: only the threshold of a profile
 * of one’s own counts, since that was tried.
 */
export const beepMeansBelow = (meter: MeterProfile): number =>
  METER_KINDS.some(({ name }) => name === meter.name) ? MOST_SOUNDING_OHMS : meter.beeperOhms;

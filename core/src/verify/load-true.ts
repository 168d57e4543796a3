import type { ContactLimit } from '../log/index.js';

/** How a contact is tried at its own current from a small supply, or why it is not. */
export type LoadTrue =
  | { refused: 'signal' | 'no-load' }
  | {
      refused: null;
      /** What the supply is limited to, in amperes: the load's own current, and no more than a bench passes through clips. */
      amps: number;
      /** Whether that is the load's own current; else less, and the drop is read up by the amperes. */
      isOwn: boolean;
      /** What stands in series where the supply does not limit by itself, in ohms, and what it gets to bear in watts. */
      seriesOhms: number;
      seriesWatts: number;
      /** Up to so many millivolts at that current it is good, above the other bad. */
      goodMillivolts: number;
      badMillivolts: number;
    };

/** A limited supply of at most so many volts: nothing that can hurt or keep an arc (common practice). */
const SUPPLY_VOLTS = 6;
/** More goes through no clip of a bench without heat (common practice); less tells too little of a film. */
const [LEAST_AMPS, MOST_AMPS] = [1, 5];
/** At the load's own current: good up to the one, bad above the other (common practice: 50 and 200 mV). */
const [GOOD_MILLIVOLTS, BAD_MILLIVOLTS] = [50, 200];

/**
 * The recipe for a drop at a contact's own current: four leads, the sense clips inside the current clips, made and broken at the supply.
 * Ohm's law alone; a signal's contact or a gold one is never tried so, since the current would burn what it is plated with.
 * @example
 * loadTrue({ school: 'load', amps: 10, volts: 230, kind: 'resistive', current: 'AC', of: null }).amps // => 5
 */
export function loadTrue(limit: ContactLimit, isGold = false): LoadTrue {
  if (limit.school !== 'load') return { refused: 'no-load' };
  if (isGold || limit.kind === 'signal' || limit.amps < LEAST_AMPS / 2) return { refused: 'signal' };
  const amps = Math.min(MOST_AMPS, Math.max(LEAST_AMPS, limit.amps));
  const seriesOhms = SUPPLY_VOLTS / amps;
  return {
    refused: null,
    amps,
    isOwn: amps === limit.amps,
    seriesOhms,
    seriesWatts: amps * amps * seriesOhms,
    goodMillivolts: (GOOD_MILLIVOLTS * amps) / limit.amps,
    badMillivolts: (BAD_MILLIVOLTS * amps) / limit.amps,
  };
}

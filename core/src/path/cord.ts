import { loopOhms } from '../rating/index.js';
import { uncertaintyOf } from '../sense/index.js';
import type { MeterProfile } from '../log/index.js';

/** What a sound cord should read there and back, and whether the meter in hand can tell. */
export interface CordLoop {
  /** Both conductors in series, copper at 20 degrees C. */
  ohms: number;
  /** Plus or minus, of this meter at this value, in ohms. */
  uncertainty: number;
  /** `tells`: the value stands clear of what the meter may be out by. */
  tells: boolean;
}

/**
 * Expected loop resistance of a cord, far ends joined, beside what the meter can tell.
 * @param length in metres
 * @param area of one conductor, in square millimetres
 * @throws RangeError when length or area is not positive.
 */
export function cordLoop(length: number, area: number, meter: MeterProfile): CordLoop {
  const ohms = loopOhms(length, area);
  const uncertainty = uncertaintyOf(ohms, meter);
  return { ohms, uncertainty, tells: ohms > uncertainty };
}

import type { Lead, MeterProfile, Reading } from '../log/index.js';
import type { ReadingId } from '../switch/index.js';
import { beepMeansBelow } from './meter/profiles.js';
import { quantityOf, type Quantity } from './quantity.js';

/**
 * What one reading proves about whether its leads join.
 * `nothing`: kept, and decides nothing (see `because`).
 */
export interface ReadingEvidence {
  reading: ReadingId;
  red: Lead;
  black: Lead;
  says: 'joins' | 'parts' | 'nothing';
  /** A tone says only 'below the beeper's threshold'; a silent beeper says nothing about insulation. */
  by: 'ohms' | 'tone';
  because:
    'low' | 'none' | 'over' | 'above-range' | 'sounded' | 'silent' | 'middle' | 'unsteady' | 'in-circuit';
  quantity: Quantity | null;
  /** Of a beep: it means fewer ohms than this, by what is known of the meter. */
  beepBelow?: number;
  /** Of over range on a range set by hand: it means more ohms than this. */
  aboveOhms?: number;
  /** The handle had come from the side from which it does not usually come. */
  fromOtherSide?: true;
}

/** Whether the reading asks to be looked at again: it blocks completeness until it is settled. */
export function looksAgain(evidence: ReadingEvidence): boolean {
  return evidence.because === 'middle' || evidence.because === 'unsteady';
}

/** The circumstances under which a reading was taken. */
export interface Circumstances {
  meter: MeterProfile;
  /** Ohms with the leads together; null when it was not measured. */
  zeroOhms: number | null;
  inCircuit: boolean;
}

/**
 * From a reading to evidence. Three bands decide topology and nothing else: at most `lowOhms` joins,
 * at least `highOhms` or over range parts, the middle decides nothing (bands: common practice, editable).
 */
export function senseReading(
  reading: Reading,
  { meter, zeroOhms, inCircuit }: Circumstances,
): ReadingEvidence {
  const base = {
    reading: reading.id,
    red: reading.red,
    black: reading.black,
    quantity: null,
    ...(reading.fromOtherSide && { fromOtherSide: true as const }),
  };
  const { value } = reading;
  switch (value.kind) {
    case 'over':
      // On a range set by hand it is as silent as a beeper: it says 'more than so many ohms' and nothing of insulation.
      return meter.rangeOhms !== null && meter.rangeOhms < meter.highOhms
        ? { ...base, says: 'parts', by: 'tone', because: 'above-range', aboveOhms: meter.rangeOhms }
        : { ...base, says: 'parts', by: 'ohms', because: 'over' };
    case 'unsteady':
      return { ...base, says: 'nothing', by: 'ohms', because: 'unsteady' };
    case 'tone':
      if (!value.sounded) return { ...base, says: 'parts', by: 'tone', because: 'silent' };
      if (inCircuit) return { ...base, says: 'nothing', by: 'tone', because: 'in-circuit' };
      return { ...base, says: 'joins', by: 'tone', because: 'sounded', beepBelow: beepMeansBelow(meter) };
    case 'ohms': {
      const quantity = quantityOf(value.ohms, zeroOhms, meter);
      const measured = { ...base, quantity, by: 'ohms' as const };
      if (quantity.ohms >= meter.highOhms) return { ...measured, says: 'parts', because: 'none' };
      if (quantity.ohms > meter.lowOhms) return { ...measured, says: 'nothing', because: 'middle' };
      if (inCircuit) return { ...measured, says: 'nothing', because: 'in-circuit' };
      return { ...measured, says: 'joins', because: 'low' };
    }
  }
}

/** What to try next about a middle reading, by its size in ohms (common practice). */
export type MiddleHint = 'work-the-contact' | 'a-part-or-film' | 'hands-off-the-tips';

/** Hint for a value in the middle band; null outside it. Limits of 50 ohm and 100 kohm are common practice. */
export function middleHint(ohms: number, meter: MeterProfile): MiddleHint | null {
  if (ohms <= meter.lowOhms || ohms >= meter.highOhms) return null;
  if (ohms <= 50) return 'work-the-contact';
  return ohms < 1e5 ? 'a-part-or-film' : 'hands-off-the-tips';
}

/** Up to this many ohms what is open for the pattern is noted as a leak (common practice: damp phenolic reads so). */
const LEAK_OHMS = 20e6;

/** Whether so many ohms part the leads and yet are few enough to be damp, dirt or skin. */
export const isLeakOhms = (ohms: number, meter: MeterProfile): boolean =>
  ohms >= meter.highOhms && ohms < LEAK_OHMS;

/** Whether a reading parts its leads and yet is noted under insulation: from the top of the middle to 20 megohm. */
export const isLeak = ({ because, quantity }: ReadingEvidence): boolean =>
  because === 'none' && quantity !== null && quantity.ohms < LEAK_OHMS;

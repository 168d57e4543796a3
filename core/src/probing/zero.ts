import type { MeterProfile, Value } from '../log/index.js';
import type { Message } from './message.js';

/** So much more than clean leads read is dirt, a loose plug or a tired wire, in ohms; a little of it is the hands. */
const MORE_OHMS = 0.3;

/** The leads read clearly more than this meter’s leads do when they are clean: taken off, and worth saying. */
export const zeroHigh = (value: Value, { leadOhms, resolutionOhms }: MeterProfile): Message | null =>
  value.kind === 'ohms' && leadOhms !== null && value.ohms > leadOhms + Math.max(MORE_OHMS, resolutionOhms)
    ? { code: 'zero-high', value, leadOhms }
    : null;

/** Why a reading with the leads together cannot be the lead zero; null when it can. */
export function zeroTrouble(value: Value, { lowOhms }: MeterProfile): Message | null {
  switch (value.kind) {
    case 'tone':
      return value.sounded ? null : { code: 'zero-silent' };
    case 'over':
    case 'unsteady':
      return { code: 'zero-broken', value };
    case 'ohms':
      return value.ohms <= lowOhms ? null : { code: 'zero-too-much', value, most: lowOhms };
  }
}

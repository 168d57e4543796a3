import type { MeterProfile, Value } from '@which-way/core/log';
import { valueWords } from '../words/quantity.js';

/** Why a reading with the leads together cannot be the lead zero; null when it can. */
export function zeroTrouble(value: Value, meter: MeterProfile): string | null {
  switch (value.kind) {
    case 'tone':
      return value.sounded
        ? null
        : 'No sound with the leads together: look at the dial, the plugs and the battery.';
    case 'over':
    case 'unsteady':
      return `The leads together read ${valueWords(value)}: a lead or plug is broken, or the dial is wrong. Mend that first.`;
    case 'ohms':
      return value.ohms <= meter.lowOhms
        ? null
        : `${valueWords(value)} is too much for leads alone. Clean tips and plugs and try again; up to ${meter.lowOhms} Ω can be taken off.`;
  }
}

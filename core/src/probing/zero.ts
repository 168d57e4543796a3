import type { MeterProfile, Value } from '../log/index.js';
import type { Message } from './message.js';

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

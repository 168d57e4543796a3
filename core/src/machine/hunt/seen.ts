import type { LoadId, SettingId } from '../../switch/index.js';
import type { LoadDoes } from '../power/load-state.js';

/** What a load shows at a moment. */
export const SEEN = ['off', 'on', 'weak', 'reversed'] as const;
export type Seen = (typeof SEEN)[number];

/** Something that was seen: what a load did in a setting; `right`: as it should; `sometimes`: now as it should, now not. */
export interface Observation {
  setting: SettingId;
  load: LoadId;
  seen: Seen | 'right' | 'sometimes';
}

/** A load in a setting, as a key. */
export const lookKey = (setting: SettingId, load: LoadId): string => `${setting} ${load}`;

/** What is seen of a load that does this. */
export function seenOf(does: LoadDoes, healthy: LoadDoes): Seen {
  switch (does) {
    case 'full':
      return 'on';
    case 'part':
      // What is meant to run on a part is not weak.
      return healthy === 'part' ? 'on' : 'weak';
    case 'reversed':
      return 'reversed';
    default:
      return 'off';
  }
}

import type { LoadId, SettingId } from '../../switch/index.js';
import type { LoadDoes } from '../power/load-state.js';

/** What a load shows at a moment. */
export const SEEN = ['off', 'on', 'weak', 'reversed'] as const;
export type Seen = (typeof SEEN)[number];

/**
 * Something that was seen, as a person tells it: what a load did in a setting; `right`: as it should; `reversed`: the wrong way, whichever
 * that is there; `sometimes`: now as it should, now not.
 */
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

/** What a load showed, from what a person told of it: where it should turn back, on is back, and the wrong way is forward. */
export function shownBy(told: Seen, should: Seen | undefined): Seen {
  if (should !== 'reversed') return told;
  return told === 'on' ? 'reversed' : told === 'reversed' ? 'on' : told;
}

/** What a person tells of what a load shows: its way is told as right or wrong, not as forward or back. */
export const toldOf = (shows: Seen, should: Seen | undefined): Seen => shownBy(shows, should);

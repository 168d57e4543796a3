import type { LoadId, SettingId } from '../../switch/index.js';
import { lookKey, type Observation, type Seen } from './seen.js';

/** A complaint about one load, whatever the setting. */
export const LOAD_COMPLAINTS = ['never-on', 'never-off', 'weak', 'wrong-way', 'sometimes'] as const;
export type LoadComplaint = (typeof LOAD_COMPLAINTS)[number];

const SAYS = { 'never-on': 'off', weak: 'weak', 'wrong-way': 'reversed', sometimes: 'sometimes' } as const;

/**
 * What a complaint about a load says of each setting: `never-off` of those where it should be off, all others of those where it should
 * run. A setting where nobody knows what it should do is left out.
 */
export function complaintOf(
  healthy: ReadonlyMap<string, Seen>,
  settings: readonly { setting: SettingId }[],
  load: LoadId,
  complaint: LoadComplaint,
): Observation[] {
  return settings.flatMap(({ setting }): Observation[] => {
    const should = healthy.get(lookKey(setting, load));
    if (should === undefined || (complaint === 'never-off') !== (should === 'off')) return [];
    return [{ setting, load, seen: complaint === 'never-off' ? 'on' : SAYS[complaint] }];
  });
}

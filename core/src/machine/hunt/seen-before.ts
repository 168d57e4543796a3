import { loadsLookedOf, type Log } from '../../log/index.js';
import type { LoadId, SettingId } from '../../switch/index.js';
import type { Combination } from '../standing/combinations.js';
import type { MachineHandle } from '../wiring/handles.js';
import type { Machine } from '../wiring/machine.js';
import type { Observation } from './seen.js';

/** What was seen of a load in the job of one switch, before it was joined with others. */
export interface SeenBefore {
  handle: MachineHandle;
  setting: SettingId;
  load: LoadId;
  seen: Observation['seen'];
}

/**
 * What was seen in the jobs of the switches by themselves and was not confirmed since, with the handle standing so: it is shown, and
 * counts for nothing.
 */
export function seenBefore(log: Log, machine: Machine): SeenBefore[] {
  if (machine.handles.length < 2) return [];
  const confirmed = new Set(
    loadsLookedOf(log).flatMap(({ at, load }) =>
      at.map((one) => (one.of === 'switch' ? `${one.setting} ${load}` : '')),
    ),
  );
  return machine.handles.flatMap((handle) => {
    if (handle.of === 'device' || !handle.map) return [];
    return loadsLookedOf(handle.map.log).flatMap(({ at, load: own, seen }): SeenBefore[] => {
      const [one] = at;
      const load = (machine.sameAs.get(own) ?? own) as LoadId;
      if (one?.of !== 'switch' || confirmed.has(`${one.setting} ${load}`)) return [];
      return [{ handle, setting: one.setting, load, seen }];
    });
  });
}

/** A combination with one handle in a setting of its own. */
export const withHandleAt = (
  { handles }: Pick<Machine, 'handles'>,
  standing: Combination,
  handle: MachineHandle,
  setting: SettingId,
): Combination => standing.with(handles.indexOf(handle), setting);

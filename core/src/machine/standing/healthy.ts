import { knownPattern } from '../../table/index.js';
import type { SwitchMap } from '../../continuity/index.js';
import { requiredSettings } from '../../switch/index.js';
import { expectedPattern } from '../../verify/index.js';
import type { Healthy } from '../hunt/index.js';
import type { MachineHandle } from '../wiring/handles.js';
import type { Machine } from '../wiring/machine.js';
import { settingOf, type Combination } from './combinations.js';
import { AS_MAPPED, contactsOf } from './in-place.js';

/** What the switch should make in every setting: as it was said, else as a complete map has it; null where neither is known in full. */
export function healthyOf(map: SwitchMap): Healthy[] | null {
  const settings = requiredSettings(map.structure).map(({ id }) => id);
  const expected = expectedPattern(map);
  if (expected) return settings.map((setting, at) => ({ setting, nets: expected.pattern[at] ?? [] }));
  if (!map.complete) return null;
  const whole = knownPattern(map);
  const order = [...map.settings.keys()];
  return settings.map((setting) => ({ setting, nets: whole[order.indexOf(setting)] ?? [] }));
}

/** What the switches of a machine should make in some combinations; those of which that is not known in full instead, where there are some. */
export function healthyIn(
  machine: Machine,
  combinations: readonly Combination[],
): { healthy: Healthy[] } | { unsaid: MachineHandle[] } {
  const { handles } = machine;
  const each = handles.map((handle) =>
    handle.of === 'device'
      ? handle.settings.map((setting) => ({ setting, ...contactsOf(handle, setting, AS_MAPPED) }))
      : handle.map && healthyOf(handle.map),
  );
  const unsaid = handles.filter((_, at) => !each[at]);
  if (unsaid.length > 0) return { unsaid };
  const healthy = combinations.map((combination): Healthy => ({
    setting: settingOf(machine, combination),
    nets: combination.flatMap((setting, at) => {
      const { nets } = each[at]?.find((one) => one.setting === setting) ?? { nets: [] };
      return nets.map((root) => root + (handles[at]?.from ?? 0));
    }),
    each: combination,
  }));
  return { healthy };
}

import { knownPattern } from '../table/index.js';
import type { SwitchMap } from '../continuity/index.js';
import { requiredSettings } from '../switch/index.js';
import { expectedPattern } from '../verify/index.js';
import type { Healthy } from './hunt/index.js';

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

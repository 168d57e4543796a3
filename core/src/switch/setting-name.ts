import type { SettingId } from './id.js';
import type { Setting } from './setting.js';
import { positionsOf, type Structure } from './structure.js';

/** The name of a setting: its positions' names, or its number where they have none. */
export function nameOfSetting(structure: Structure, setting: Setting, index: number): string {
  const positions = positionsOf(structure, setting);
  const places = structure.actuators.map(({ id, positions: all }) =>
    all.findIndex((one) => one.id === setting.at[id]),
  );
  const [first] = positions;
  if (positions.length <= 1 && !first?.name)
    return `Position ${((places[0] ?? -1) < 0 ? index : (places[0] ?? 0)) + 1}`;
  return positions.map(({ name }, at) => name || `P${(places[at] ?? at) + 1}`).join(', ');
}

/** What a setting is called: its positions' names, or its number where they have none. */
export function settingName(structure: Structure, id: SettingId): string {
  const index = structure.settings.findIndex((setting) => setting.id === id);
  const setting = structure.settings[index];
  return setting ? nameOfSetting(structure, setting, index) : 'a position that was removed';
}

import type { Structure, Setting, SettingId, TerminalId } from '@which-way/core/switch';
import { positionsOf } from '@which-way/core/switch';

/** What a terminal is called; a retired one is still called something. */
export function terminalName(structure: Structure, id: TerminalId): string {
  return structure.terminals.find((terminal) => terminal.id === id)?.label ?? 'one that was removed';
}

/**
 * Terminals as one says them: runs of three or more that stand next to each other in the list become 'a to b'.
 */
export function terminalList(structure: Structure, ids: readonly TerminalId[]): string {
  const place = new Map(structure.terminals.map(({ id }, index) => [id, index]));
  const parts: string[] = [];
  for (let from = 0; from < ids.length; ) {
    let to = from;
    while (
      to + 1 < ids.length &&
      place.get(ids[to + 1] as TerminalId) === (place.get(ids[to] as TerminalId) ?? -9) + 1
    ) {
      to += 1;
    }
    const name = (at: number) => terminalName(structure, ids[at] as TerminalId);
    if (to - from >= 2) parts.push(`${name(from)} to ${name(to)}`);
    else for (let at = from; at <= to; at += 1) parts.push(name(at));
    from = to + 1;
  }
  return parts.join(', ');
}

/** What a setting is called: its positions' names, or its number where they have none. */
export function settingName(structure: Structure, id: SettingId): string {
  const index = structure.settings.findIndex((setting) => setting.id === id);
  const setting = structure.settings[index];
  return setting ? nameOfSetting(structure, setting, index) : 'a position that was removed';
}

export function nameOfSetting(structure: Structure, setting: Setting, index: number): string {
  const names = positionsOf(structure, setting).map(({ name }) => name);
  if (names.length > 0 && names.every((name) => name !== null && name !== '')) return names.join(', ');
  const actuator = structure.actuators[0];
  const place = actuator?.positions.findIndex(({ id }) => id === setting.at[actuator.id]) ?? -1;
  return `Position ${(place < 0 ? index : place) + 1}`;
}

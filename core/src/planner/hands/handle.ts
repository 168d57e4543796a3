import { firstSetting, type JobEvent } from '../../log/index.js';
import { settingIn, type SettingId } from '../../switch/index.js';
import type { SwitchMap } from '../../continuity/index.js';

/**
 * Where the handle should be, by the log: at the setting of the prompt last shown, of the pair last read, or of the
 * position last clicked on to. The first setting before any of these; null without settings.
 */
export function handleAt(map: SwitchMap): SettingId | null {
  return lastSetting(map, true) ?? map.structure.settings[0]?.id ?? null;
}

/** Where the hands left the handle: at the pair last read or the position last clicked on to; null before any. */
export function handleLeftAt(map: SwitchMap): SettingId | null {
  return lastSetting(map, false);
}

function lastSetting(map: SwitchMap, countPrompts: boolean): SettingId | null {
  const inUse = new Set(map.structure.settings.map(({ id }) => id));
  for (const event of map.log.ordered.toReversed()) {
    if (map.log.withdrawn.has(event.id)) continue;
    const named = settingOf(event, countPrompts);
    const at = named && settingIn(map.structure, named);
    if (at && inUse.has(at)) return at;
  }
  return null;
}

function settingOf({ what }: JobEvent, countPrompts: boolean): SettingId | undefined {
  if (what.kind === 'prompt-shown') return countPrompts ? firstSetting(what.prompt.ask) : undefined;
  if (what.kind === 'answered') return what.readings.at(-1)?.setting;
  if (what.kind === 'superseded') return what.replacement?.setting;
  if (what.kind === 'restructured' && what.change.change === 'position-added')
    return what.change.settings[0]?.id;
  return undefined;
}

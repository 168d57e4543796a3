import type { SettingId } from '../switch/index.js';
import type { SwitchMap } from '../continuity/index.js';

/**
 * Where the handle is, by the log: at the setting of the prompt last shown, of the pair last read, or of the
 * position last clicked on to. The first setting before any of these; null without settings.
 */
export function handleAt(map: SwitchMap): SettingId | null {
  const inUse = new Set(map.structure.settings.map(({ id }) => id));
  for (const { id, what } of map.log.ordered.toReversed()) {
    if (map.log.withdrawn.has(id)) continue;
    let at: SettingId | undefined;
    if (what.kind === 'prompt-shown') at = what.prompt.ask.setting;
    else if (what.kind === 'answered') at = what.readings.at(-1)?.setting;
    else if (what.kind === 'restructured' && what.change.change === 'position-added') at = what.change.settings[0]?.id;
    if (at !== undefined && inUse.has(at)) return at;
  }
  return map.structure.settings[0]?.id ?? null;
}

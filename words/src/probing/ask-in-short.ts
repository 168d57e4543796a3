import type { SwitchMap } from '@which-way/core/continuity';
import type { Ask } from '@which-way/core/log';
import { handleLeftAt } from '@which-way/core/planner';
import { isHeldAsk } from '@which-way/core/probing';
import type { TerminalId } from '@which-way/core/switch';
import { settingName, shortSettingName, terminalList } from '../terminals.js';

/** An ask in a few words, as what comes after the present one. */
export function askInShort(map: SwitchMap, ask: Ask): string {
  const list = (lead: TerminalId | readonly TerminalId[]) => terminalList(map.structure, [lead].flat());
  if (isHeldAsk(ask)) {
    const places = ask.settings.map((id) => shortSettingName(map.structure, id)).join(', ');
    return `red ${list(ask.red)}, black ${list(ask.black)} through ${places}`;
  }
  const turn = handleLeftAt(map) === ask.setting ? '' : ` at ${settingName(map.structure, ask.setting)}`;
  return `red ${list(ask.red)}, black ${list(ask.black)}${turn}`;
}

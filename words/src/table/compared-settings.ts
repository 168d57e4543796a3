import type { SettingId, Structure, TerminalId } from '@which-way/core/switch';
import type { SettingsCompared } from '@which-way/core/table';
import { settingName, terminalName } from '../terminals.js';

/** What happens to the contacts from one setting to another, in a sentence. */
export function settingsComparedWords(
  structure: Structure,
  from: SettingId,
  to: SettingId,
  { opens, closes, stays, unknown }: SettingsCompared,
): string {
  const pairs = (list: readonly [TerminalId, TerminalId][]) =>
    list.map((pair) => pair.map((id) => terminalName(structure, id)).join('–')).join(', ');
  const parts = [
    opens.length > 0 ? `${pairs(opens)} ${opens.length === 1 ? 'opens' : 'open'}` : '',
    closes.length > 0 ? `${pairs(closes)} ${closes.length === 1 ? 'closes' : 'close'}` : '',
    stays.length > 0 ? `${pairs(stays)} ${stays.length === 1 ? 'stays' : 'stay'} closed` : '',
    unknown.length > 0 ? `${pairs(unknown)} not known` : '',
  ].filter(Boolean);
  const way = `From ${settingName(structure, from)} to ${settingName(structure, to)}`;
  return parts.length === 0 ? `${way} nothing changes.` : `${way}: ${parts.join('; ')}.`;
}

/** Settings that are electrically equal, as a sentence each. */
export const equalSettingsWords = (structure: Structure, groups: readonly SettingId[][]): string[] =>
  groups.map(
    (group) => `Electrically the same: ${group.map((id) => settingName(structure, id)).join(' = ')}.`,
  );

import type { SettingId, Structure, TerminalId } from '@which-way/core/switch';
import { settingName, terminalName } from './terminals.js';

/** What terminals and settings of a switch are called, for drawings and files, which have no words of their own. */
export const calledIn = (structure: Structure) => ({
  terminal: (id: TerminalId) => terminalName(structure, id),
  setting: (id: SettingId) => settingName(structure, id),
});

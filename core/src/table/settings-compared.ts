import { factAt, isSettled, type SwitchMap } from '../continuity/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { truthTable } from './truth-table.js';

/** Settings that do just the same in every pair, all of it known: electrically equal. Groups of two or more, in handle order. */
export function equalSettings(map: SwitchMap): SettingId[][] {
  const groups = new Map<string, SettingId[]>();
  for (const [id, { settled }] of map.settings) {
    let known = true;
    let key = '';
    map.contacts.forEach((a, at) => {
      for (const b of map.contacts.slice(at + 1)) {
        const fact = factAt(settled, a, b);
        known &&= isSettled(fact);
        key += fact.joined ? '1' : '0';
      }
    });
    if (known) groups.set(key, [...(groups.get(key) ?? []), id]);
  }
  return [...groups.values()].filter((group) => group.length > 1);
}

/** The settings in handle order, but for those that are electrically equal: they follow the first of them. */
export function equalSideBySide(settings: readonly SettingId[], equal: readonly SettingId[][]): SettingId[] {
  const group = (id: SettingId) => equal.find((one) => one.includes(id)) ?? [id];
  return [...new Set(settings.flatMap(group))];
}

/** What changes in the contacts from one setting to another. */
export interface SettingsCompared {
  opens: [TerminalId, TerminalId][];
  closes: [TerminalId, TerminalId][];
  stays: [TerminalId, TerminalId][];
  /** Not known in one of the two, or in dispute. */
  unknown: [TerminalId, TerminalId][];
}

/** Contacts of the table that open, close, stay closed, or are not known, from one setting to another. */
export function compareSettings(map: SwitchMap, from: SettingId, to: SettingId): SettingsCompared {
  const compared: SettingsCompared = { opens: [], closes: [], stays: [], unknown: [] };
  const table = truthTable(map);
  for (const { terminals, cells } of [...table.poles.flatMap(({ rows }) => rows), ...table.uncertain]) {
    const [one, other] = [from, to].map((id) => cells.find(({ setting }) => setting === id)?.fact);
    if (!one || !other || !isSettled(one) || !isSettled(other)) compared.unknown.push(terminals);
    else if (one.joined && other.joined) compared.stays.push(terminals);
    else if (one.joined) compared.opens.push(terminals);
    else if (other.joined) compared.closes.push(terminals);
  }
  return compared;
}

import { partitionFromGroups } from '@which-way/core/partition';
import { netsIn, polesWithContacts, type Contact } from '@which-way/core/table';
import type { ExpectedTable } from '@which-way/core/log';
import type { SettingId, TerminalId } from '@which-way/core/switch';

function partitionIn(joined: readonly TerminalId[][], ids: readonly TerminalId[]): number[] {
  return partitionFromGroups(
    ids.length,
    joined.map((group) => group.map((id) => ids.indexOf(id)).filter((place) => place >= 0)),
  );
}

/** The contacts that an expected table amounts to. */
export function contactsOf(expected: ExpectedTable, ids: readonly TerminalId[]): Contact[] {
  const pattern = expected.settings.map(({ joined }) => partitionIn(joined, ids));
  return polesWithContacts(pattern).flatMap(({ contacts }) => contacts);
}

/**
 * The table with one contact turned over in one setting. Closing it joins the two nets; opening it takes the second
 * terminal out of their net. The result is drawn by hand, whatever it was before.
 */
export function toggleContact(
  expected: ExpectedTable,
  setting: SettingId,
  [a, b]: Contact,
  ids: readonly TerminalId[],
): ExpectedTable {
  return {
    source: { kind: 'drawn' },
    settings: expected.settings.map((entry) => {
      if (entry.setting !== setting) return entry;
      const before = partitionIn(entry.joined, ids);
      const closed = before[a] === before[b];
      const groups = closed
        ? netsIn(before).map((net) => net.filter((place) => place !== b))
        : [...netsIn(before), [a, b]];
      const after = partitionFromGroups(ids.length, groups);
      return { setting, joined: netsIn(after).map((net) => net.map((place) => ids[place] as TerminalId)) };
    }),
  };
}

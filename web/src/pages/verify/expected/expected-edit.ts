import { partitionFromGroups } from '@which-way/core/partition';
import { netsIn, polesWithContacts, type Contact } from '@which-way/core/table';
import type { ExpectedTable } from '@which-way/core/log';
import type { SettingId, TerminalId } from '@which-way/core/switch';
import { isAmong } from '@which-way/core/verify';

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

/** What an expected table says of one contact in one setting. */
export type SaidOfContact = 'closed' | 'open' | 'not-said';

/** What a tap on a cell says. */
export type TapSays = 'closed-or-open' | 'does-not-matter';

type Entry = ExpectedTable['settings'][number];

/** What is said of a contact in a setting. */
export function saidOf(
  { joined, unsaid }: Entry,
  [a, b]: Contact,
  ids: readonly TerminalId[],
): SaidOfContact {
  if (isAmong(unsaid)([ids[a] as TerminalId, ids[b] as TerminalId])) return 'not-said';
  const partition = partitionIn(joined, ids);
  return partition[a] === partition[b] ? 'closed' : 'open';
}

/** A table in which nothing is said yet of these settings: it differs from nothing. */
export const nothingSaid = (settings: readonly SettingId[], ids: readonly TerminalId[]): ExpectedTable => ({
  source: { kind: 'drawn' },
  settings: settings.map((setting) => ({ setting, joined: [], unsaid: everyPair(ids) })),
});

/** The same table with everything of which nothing was said said to be open. */
export const allElseOpen = (expected: ExpectedTable): ExpectedTable => ({
  source: { kind: 'drawn' },
  settings: expected.settings.map((entry) => ({ ...entry, unsaid: [] })),
});

const everyPair = (ids: readonly TerminalId[]): [TerminalId, TerminalId][] =>
  ids.flatMap((one, at) => ids.slice(at + 1).map((other): [TerminalId, TerminalId] => [one, other]));

/**
 * The table with one contact turned over in one setting: closed, or open. Closing joins the two nets, and says so of all their
 * pairs; opening takes the second terminal out of their net. The result is drawn by hand, whatever it was.
 * @param says what a tap says: which of the two it should be, or that it does not matter
 */
export function turnContact(
  expected: ExpectedTable,
  setting: SettingId,
  contact: Contact,
  ids: readonly TerminalId[],
  says: TapSays,
): ExpectedTable {
  return {
    source: { kind: 'drawn' },
    settings: expected.settings.map((entry) =>
      entry.setting === setting ? turned(entry, contact, ids, says) : entry,
    ),
  };
}

function turned(entry: Entry, [a, b]: Contact, ids: readonly TerminalId[], says: TapSays): Entry {
  const said = saidOf(entry, [a, b], ids);
  const pair: [TerminalId, TerminalId] = [ids[a] as TerminalId, ids[b] as TerminalId];
  if (says === 'does-not-matter')
    return said === 'not-said'
      ? { ...entry, unsaid: entry.unsaid.filter((one) => !isAmong([pair])(one)) }
      : { ...entry, unsaid: [...entry.unsaid, pair] };
  const before = partitionIn(entry.joined, ids);
  const groups =
    said === 'closed'
      ? netsIn(before).map((net) => net.filter((place) => place !== b))
      : [...netsIn(before), [a, b]];
  const after = partitionFromGroups(ids.length, groups);
  const at = new Map(ids.map((id, place) => [id, place]));
  const joins = (one: TerminalId, other: TerminalId) =>
    after[at.get(one) ?? -1] !== undefined && after[at.get(one) ?? -1] === after[at.get(other) ?? -1];
  return {
    ...entry,
    joined: netsIn(after).map((net) => net.map((place) => ids[place] as TerminalId)),
    unsaid: entry.unsaid.filter(([one, other]) => !joins(one, other)),
  };
}

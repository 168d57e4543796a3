import { factAt, isSettled, type SwitchMap } from '../../continuity/index.js';
import type { ExpectedTable } from '../../log/index.js';
import { blocks, partitionFromGroups, type Partition } from '../../partition/index.js';
import type { SettingId, TerminalId } from '../../switch/index.js';
import { isAmong } from '../../verify/index.js';

/** What is known of the contacts in one setting: the joins, and of which pairs nothing is known. Terminals by place. */
export interface ContactsAt {
  nets: Partition;
  isKnown: (a: number, b: number) => boolean;
}

/** As the map has it. What is disputed or predicted is not known. */
export function contactsAsMapped(map: SwitchMap, setting: SettingId): ContactsAt {
  const settled = map.settings.get(setting)?.settled;
  const size = map.structure.terminals.length;
  if (!settled) return { nets: partitionFromGroups(size, []), isKnown: () => false };
  return { nets: settled.nets, isKnown: (a, b) => isSettled(factAt(settled, a, b)) };
}

/** As a table says that it should be. */
export function contactsAsTable(map: SwitchMap, table: ExpectedTable, setting: SettingId): ContactsAt {
  const { terminals } = map.structure;
  const place = new Map(terminals.map(({ id }, at) => [id, at]));
  const said = table.settings.find((one) => one.setting === setting);
  const silent = isAmong(said?.unsaid ?? []);
  const idAt = (at: number) => terminals[at]?.id as TerminalId;
  return {
    nets: partitionFromGroups(
      terminals.length,
      (said?.joined ?? []).map((net) => net.flatMap((id) => place.get(id) ?? [])),
    ),
    isKnown: (a, b) => said !== undefined && !silent([idAt(a), idAt(b)]),
  };
}

/** As nets say that are known in full. */
export const contactsOfNets = (nets: Partition): ContactsAt => ({ nets, isKnown: () => true });

/** More pairs of nets of which nothing is known than this are not tried out: then it is not known what they do. */
const MOST_OPEN = 6;

/** A way in which the contacts may stand, as far as is known. */
export type Stand = Partition;

/** Joins of a stand, as pairs. */
export const joinsOf = (stand: Stand): [number, number][] =>
  stand.flatMap((root, place): [number, number][] => (root === place ? [] : [[root, place]]));

/**
 * Every way in which the contacts may stand with what is known, over the terminals that matter; null: too many to try. One alone
 * where all is known.
 */
export function standsOf({ nets, isKnown }: ContactsAt, terminals: readonly number[]): Stand[] | null {
  const size = nets.length;
  const matters = new Set(terminals);
  const classes = blocks(nets)
    .map((net) => net.filter((place) => matters.has(place)))
    .filter((net) => net.length > 0);
  const parted = (one: readonly number[], other: readonly number[]) =>
    one.some((a) => other.some((b) => isKnown(a, b)));
  const open: [number, number][] = [];
  const apart: [number, number][] = [];
  classes.forEach((one, a) =>
    classes.slice(a + 1).forEach((other, at) => {
      (parted(one, other) ? apart : open).push([a, a + 1 + at]);
    }),
  );
  if (open.length > MOST_OPEN) return null;
  if (open.length === 0) return [nets];
  const stands = new Map<string, Stand>();
  for (let chosen = 0; chosen < 1 << open.length; chosen += 1) {
    const groups = open.flatMap(([a, b], bit) =>
      ((chosen >> bit) & 1) === 1 ? [[classes[a]?.[0] as number, classes[b]?.[0] as number]] : [],
    );
    const stand = partitionFromGroups(size, [...blocks(nets).filter((net) => net.length > 1), ...groups]);
    const broken = apart.some(
      ([a, b]) => stand[classes[a]?.[0] as number] === stand[classes[b]?.[0] as number],
    );
    if (!broken) stands.set(stand.join(), stand);
  }
  return [...stands.values()];
}

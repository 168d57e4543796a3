import { KINDS } from './kinds/all-kinds.js';
import type { Every, InUse, Last, Newest, RecordsBy } from './kinds/keeps.js';
import type { Kind } from './kinds/define-kind.js';
import { kindOf, type DeedKind, type DeedOf } from './deed.js';
import { compareEvents, liveEvents, type Log } from './log.js';

/** Kinds whose definition says how their records are kept. */
export type KeptKind = {
  [Name in DeedKind]: (typeof KINDS)[Name] extends Kind<Name, unknown, null> ? never : Name;
}[DeedKind];

/** What a log holds of a kind, by the way in which its definition keeps it. */
export type RecordsOf<Name extends KeptKind> =
  (typeof KINDS)[Name] extends Kind<Name, infer Body, infer Keeps> ? RecordsBy<Keeps, Body> : never;

/** After which acts those of a kind are of another switch, or of another part that goes back. */
const SINCE = { work: ['worked-on'], choice: ['refit-begun', 'chosen'] } as const;

/**
 * What the live events of a kind say, in their order: those that are of things as they stand now.
 * @param since another stretch than its definition says
 */
export function deedsOf<Name extends DeedKind>(
  log: Log,
  kind: Name,
  since: 'work' | 'choice' | null = kindOf(kind).since,
): DeedOf<Name>[] {
  const events = liveEvents(log, kind);
  const begun = since && SINCE[since].flatMap((one) => liveEvents(log, one).slice(-1));
  const from = begun?.toSorted(compareEvents).at(-1);
  return (from ? events.filter((event) => compareEvents(event, from) > 0) : events).map(({ what }) => what);
}

/** The last of each key, in the order in which the keys first appeared. */
export function newestOf<Item>(items: readonly Item[], keyOf: (item: Item) => string): Item[] {
  const newest = new Map<string, Item>();
  for (const item of items) newest.set(keyOf(item), item);
  return [...newest.values()];
}

type Thing = { id: string; removed: boolean };
type AnyKeeps = Last<string> | Every<string> | InUse<string> | Newest<string | null, unknown>;

/**
 * What a log holds of a kind: the last word, everything, the newest of each key, or what is in use, as its definition says.
 * @example recordsOf(log, 'wire-tagged') // the wires that were not removed, the newest word on each
 * @example recordsOf(log, 'wires-off') // true, false, or null where nobody has said
 * @example
 * const on = bench(2, 1);
 * on.add({ kind: 'wires-off', off: true });
 * recordsOf(readLog(on.events), 'wires-off') // => true
 */
export function recordsOf<Name extends KeptKind>(log: Log, kind: Name): RecordsOf<Name> {
  return read(deedsOf(log, kind), KINDS[kind].keeps as unknown as AnyKeeps) as RecordsOf<Name>;
}

function read(deeds: readonly object[], keeps: AnyKeeps): unknown {
  const { field } = keeps;
  const values = field === null ? deeds : deeds.map((deed) => (deed as Record<string, unknown>)[field]);
  switch (keeps.by) {
    case 'last':
      return values.at(-1) ?? null;
    case 'every':
      return values;
    case 'in-use':
      return newestOf(values as Thing[], ({ id }) => id).filter(({ removed }) => !removed);
    case 'newest':
      return newestOf(values.flat(), keeps.keyOf).filter(keeps.says);
  }
}

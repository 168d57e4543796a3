import type { ApiError } from '@which-way/contract';
import { dependentsOf, namedBy, versionOf, type Deed, type JobEvent } from '@which-way/core/log';
import type { EventId, JobId, NewId } from '@which-way/core/switch';

/** An event that the server refused, with those that cannot stand without it: kept until a person has decided. */
export interface SetAside {
  id: EventId;
  job: JobId;
  event: JobEvent;
  error: ApiError;
  dependents: JobEvent[];
}

/** Sets a refused event aside with what hangs on it. `standing`: events that are stored; `waiting`: those that are not. */
export function setAside(
  job: JobId,
  event: JobEvent,
  error: ApiError,
  { standing, waiting }: { standing: readonly JobEvent[]; waiting: readonly JobEvent[] },
): SetAside {
  return { id: event.id, job, event, error, dependents: dependentsOf(event, standing, waiting) };
}

/** The number is used on the server already, by another event: nothing has to stand in for this one. */
const TAKEN: ReadonlySet<string> = new Set(['sequence-taken', 'event-differs']);

/**
 * What stands in for events that are given up: under their own numbers, so that those of the device have no gap.
 * @param clock the highest that may be used.
 */
export function leftOut(
  { event, error, dependents }: SetAside,
  { newId, now, clock }: { newId: NewId; now: string; clock: number },
  which: readonly JobEvent[] = [event, ...dependents],
): JobEvent[] {
  if (TAKEN.has(error.code)) return [];
  return which.map((gone) => ({
    id: newId<EventId>(),
    device: gone.device,
    sequence: gone.sequence,
    clock: Math.min(gone.clock, clock),
    at: now,
    schema: versionOf('left-out'),
    what: {
      kind: 'left-out',
      event: gone.id,
      was: gone.what.kind,
      because: gone === event ? error.code : 'hangs-on-a-refused-one',
    },
  }));
}

/** Of what hangs on a refused event, what can stand once it is there again under another id: what does not name its id. */
export function standsAgain({ event, dependents }: SetAside): JobEvent[] {
  return dependents.filter(({ what }) => !namedBy(what).has(event.id));
}

/** How a person may mend a refused event. */
export type Mending =
  /** A text or a number that is too long, too large, or not what is wanted. */
  | { how: 'value'; value: string | number; most: number | null }
  /** A list that is too long: its first entries can stay. */
  | { how: 'first-of-list'; length: number; most: number }
  /** A change of the switch that was made on how it was before: it can be made again on how it is now. */
  | { how: 'again' }
  | { how: 'none' };

/** What can be mended in a refused event, by where and why it was refused. */
export function mendingOf({ event, error }: SetAside): Mending {
  if (error.code === 'stale-structure') return { how: 'again' };
  const value = valueAt(event, error.path);
  const most = error.limit ?? null;
  if (Array.isArray(value) && error.code === 'schema-maxItems' && most !== null)
    return { how: 'first-of-list', length: value.length, most };
  if ((typeof value === 'string' || typeof value === 'number') && error.path.startsWith('what.'))
    return { how: 'value', value, most };
  return { how: 'none' };
}

/**
 * The body of a refused event as a person mended it.
 * @param typed what stands in the field; of no matter for the other ways.
 * @param basedOn the last change of the switch as it is now.
 */
export function mendedDeed(
  { event, error }: SetAside,
  mending: Mending,
  typed: string,
  basedOn: EventId | null,
): Deed {
  const what = structuredClone(event.what);
  switch (mending.how) {
    case 'value': {
      const value = typeof mending.value === 'number' ? Number(typed.replace(',', '.')) : typed;
      return withValueAt({ what }, error.path, value).what;
    }
    case 'first-of-list': {
      const list = valueAt({ what }, error.path) as unknown[];
      return withValueAt({ what }, error.path, list.slice(0, mending.most)).what;
    }
    case 'again':
      return 'basedOn' in what ? { ...what, basedOn } : what;
    case 'none':
      return what;
  }
}

function valueAt(root: unknown, path: string): unknown {
  let value = root;
  for (const name of path.split('.'))
    value =
      typeof value === 'object' && value !== null ? (value as Record<string, unknown>)[name] : undefined;
  return value;
}

function withValueAt<Root extends object>(root: Root, path: string, value: unknown): Root {
  const names = path.split('.');
  const last = names.pop() ?? '';
  const holder = names.length === 0 ? root : valueAt(root, names.join('.'));
  if (typeof holder === 'object' && holder !== null) (holder as Record<string, unknown>)[last] = value;
  return root;
}

import type { JobEvent } from '@which-way/core/log';
import type { JobId } from '@which-way/core/switch';
import { noted, type JobCopy, type KeptPhoto, type Outbox } from './outbox.js';
import { readable, type Strange } from './strange.js';
import type { SetAside } from './set-aside.js';

/** What the browser kept of a job since it was last open. */
export interface Kept {
  /** Events that the server may not have. */
  events: JobEvent[];
  photos: KeptPhoto[];
  aside: SetAside[];
  /** What of it cannot be read: it is shown by name, and the rest goes on without it. */
  strange: Strange[];
}

/** Reads what the browser kept; what it cannot give at all it does not have. */
export async function readKept(outbox: Outbox, job: JobId): Promise<Kept> {
  const [rows, photos, items] = await Promise.all([
    outbox.of(job).catch(() => []),
    outbox.photosOf(job).catch(() => []),
    outbox.asideOf(job).catch(() => []),
  ]);
  const waiting = await readable(rows, 'waiting');
  const aside = await readableAsides(items);
  return {
    photos: photos.filter(({ id, bytes }) => typeof id === 'string' && bytes instanceof ArrayBuffer),
    events: waiting.events,
    aside: aside.items,
    strange: [...waiting.strange, ...aside.strange],
  };
}

/** What was set aside, with those that hang on it as far as they can be read. */
async function readableAsides(
  items: readonly SetAside[],
): Promise<{ items: SetAside[]; strange: Strange[] }> {
  const sound: SetAside[] = [];
  const all: Strange[] = [];
  for (const item of items) {
    const { events, strange } = await readable([{ id: item.id, event: item.event }], 'aside');
    const [event] = events;
    const { events: dependents } = await readable(
      (Array.isArray(item.dependents) ? item.dependents : []).map((one) => ({ id: item.id, event: one })),
      'aside',
    );
    if (event && typeof item.error?.message === 'string') sound.push({ ...item, event, dependents });
    all.push(...strange);
  }
  return { items: sound, strange: all };
}

/** The copy of a job that the browser has; what of it cannot be read the server has still. */
export async function readCopy(outbox: Outbox, job: JobId): Promise<JobCopy | null> {
  const copy = await outbox.copyOf(job).catch(() => null);
  if (!copy) return null;
  const rows = copy.events.map((event) => ({ id: '', event }));
  return { ...copy, events: (await readable(rows, 'waiting')).events };
}

/** Of kept events those that are not stored; those that have arrived leave the outbox. */
export async function notArrived(
  outbox: Outbox,
  kept: readonly JobEvent[],
  stored: readonly JobEvent[],
): Promise<JobEvent[]> {
  const there = new Set(stored.map(({ id }) => id));
  const arrived = kept.filter(({ id }) => there.has(id)).map(({ id }) => id);
  await noted(() => outbox.remove(arrived));
  return kept.filter(({ id }) => !there.has(id));
}

/** What the server had once and has not any more: neither stored, nor waiting, nor there but damaged. */
export function lostSince(
  copy: JobCopy | null,
  ...known: readonly (readonly { id: string }[])[]
): JobEvent[] {
  const ids = new Set(known.flat().map(({ id }) => id));
  return (copy?.events ?? []).filter(({ id }) => !ids.has(id));
}

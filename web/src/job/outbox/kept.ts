import type { JobEvent } from '@which-way/core/log';
import type { JobId } from '@which-way/core/switch';
import { noted, type JobCopy, type KeptPhoto, type Outbox } from './outbox.js';
import type { SetAside } from './set-aside.js';

/** What the browser kept of a job since it was last open. */
export interface Kept {
  /** Events that the server may not have. */
  events: JobEvent[];
  photos: KeptPhoto[];
  aside: SetAside[];
}

/** Reads what the browser kept; what it cannot read it does not have. */
export async function readKept(outbox: Outbox, job: JobId): Promise<Kept> {
  const [events, photos, aside] = await Promise.all([
    outbox.of(job).catch(() => []),
    outbox.photosOf(job).catch(() => []),
    outbox.asideOf(job).catch(() => []),
  ]);
  return { events, photos, aside };
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

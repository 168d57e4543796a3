import type { ApiError, Job } from '@which-way/contract';
import type { JobEvent, PhotoPurpose } from '@which-way/core/log';
import type { JobId, PhotoId } from '@which-way/core/switch';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { KeptRow } from './strange.js';
import type { SetAside } from './set-aside.js';

interface OutboxSchema extends DBSchema {
  waiting: {
    key: string;
    value: { id: string; job: JobId; order: number; event: JobEvent };
    indexes: { job: string };
  };
  photos: {
    key: string;
    value: KeptPhoto & { job: JobId };
    indexes: { job: string };
  };
  /** What the server refused, until a person has decided. */
  aside: { key: string; value: SetAside; indexes: { job: string } };
  /** Jobs as the server had them last, so that a reload shows them while it is away. */
  jobs: { key: string; value: Omit<JobCopy, 'events'> & { id: string } };
  copied: {
    key: string;
    value: { id: string; job: JobId; event: JobEvent };
    indexes: { job: string };
  };
}

/** A job as the server had it: every event up to a cursor. */
export interface JobCopy {
  job: Job;
  cursor: number;
  events: JobEvent[];
}

/** A photo that is not known to be on the server's disk. */
export interface KeptPhoto {
  id: PhotoId;
  purpose: PhotoPurpose;
  caption: string;
  /** Made of the bytes themselves: a file that is gone from the phone is still here. */
  bytes: ArrayBuffer;
  type: string;
  /** Why the server will not have it; it stays here until a person drops it. */
  refused?: ApiError;
}

/** Events that are not known to be on the server's disk, kept by the browser through reloads. */
export interface Outbox {
  put(job: JobId, event: JobEvent): Promise<void>;
  remove(ids: readonly string[]): Promise<void>;
  /** In the order in which they were written, as they lie there: any of them may be damaged. */
  of(job: JobId): Promise<KeptRow[]>;
  putPhoto(job: JobId, photo: KeptPhoto): Promise<void>;
  removePhoto(id: PhotoId): Promise<void>;
  photosOf(job: JobId): Promise<KeptPhoto[]>;
  putAside(item: SetAside): Promise<void>;
  removeAside(id: string): Promise<void>;
  /** As they lie there. */
  asideOf(job: JobId): Promise<SetAside[]>;
  /** Notes the whole of what the server has of a job; what was noted of it before and is not in it goes. */
  copy(copy: JobCopy): Promise<void>;
  /** Notes what the server has of it besides, up to the cursor. */
  addToCopy(copy: JobCopy): Promise<void>;
  /** Its events as they lie there. */
  copyOf(job: JobId): Promise<JobCopy | null>;
  /** The jobs that this browser has a copy of. */
  copies(): Promise<Job[]>;
  /** Forgets the copy of a job, and nothing else of it. */
  forget(job: JobId): Promise<void>;
}

/** Notes something in the browser that is on the server too: without it a reload takes longer, and nothing is lost. */
export async function noted(note: () => Promise<void>): Promise<void> {
  try {
    await note();
  } catch {
    // The next load takes it from the server.
  }
}

let opened: Promise<IDBPDatabase<OutboxSchema>> | null = null;

/** The browser's database; where it could not be opened, the next one who asks tries again. */
function database(): Promise<IDBPDatabase<OutboxSchema>> {
  opened ??= openDB<OutboxSchema>('which-way', 4, {
    upgrade(opening, before) {
      if (before < 1) opening.createObjectStore('waiting', { keyPath: 'id' }).createIndex('job', 'job');
      if (before < 2) opening.createObjectStore('photos', { keyPath: 'id' }).createIndex('job', 'job');
      if (before < 3) {
        opening.createObjectStore('jobs', { keyPath: 'id' });
        opening.createObjectStore('copied', { keyPath: 'id' }).createIndex('job', 'job');
      }
      if (before < 4) opening.createObjectStore('aside', { keyPath: 'id' }).createIndex('job', 'job');
    },
    terminated: () => (opened = null),
  });
  opened.catch(() => (opened = null));
  return opened;
}

export const browserOutbox: Outbox = {
  async put(job, event) {
    await (await database()).put('waiting', { id: event.id, job, order: event.clock, event });
  },
  async remove(ids) {
    const transaction = (await database()).transaction('waiting', 'readwrite');
    await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done]);
  },
  async of(job) {
    const rows = await (await database()).getAllFromIndex('waiting', 'job', job);
    const sequence = ({ event }: KeptRow) => (event as JobEvent | null)?.sequence ?? 0;
    return rows
      .sort((one, other) => one.order - other.order || sequence(one) - sequence(other))
      .map(({ id, event }) => ({ id, event }));
  },
  async putPhoto(job, photo) {
    await (await database()).put('photos', { ...photo, job });
  },
  async removePhoto(id) {
    await (await database()).delete('photos', id);
  },
  photosOf: async (job) => (await database()).getAllFromIndex('photos', 'job', job),
  async putAside(item) {
    await (await database()).put('aside', item);
  },
  async removeAside(id) {
    await (await database()).delete('aside', id);
  },
  asideOf: async (job) => (await database()).getAllFromIndex('aside', 'job', job),
  async copy({ job, cursor, events }) {
    const transaction = (await database()).transaction(['jobs', 'copied'], 'readwrite');
    const copied = transaction.objectStore('copied');
    const there = new Set(await copied.index('job').getAllKeys(job.id));
    const now = new Set<string>(events.map(({ id }) => id));
    await Promise.all([
      ...[...there].flatMap((id) => (now.has(id) ? [] : [copied.delete(id)])),
      ...events.flatMap((event) =>
        there.has(event.id) ? [] : [copied.put({ id: event.id, job: job.id, event })],
      ),
      transaction.objectStore('jobs').put({ id: job.id, job, cursor }),
      transaction.done,
    ]);
  },
  async addToCopy({ job, cursor, events }) {
    const transaction = (await database()).transaction(['jobs', 'copied'], 'readwrite');
    await Promise.all([
      ...events.map((event) => transaction.objectStore('copied').put({ id: event.id, job: job.id, event })),
      transaction.objectStore('jobs').put({ id: job.id, job, cursor }),
      transaction.done,
    ]);
  },
  async copyOf(id) {
    const transaction = (await database()).transaction(['jobs', 'copied']);
    const [row, rows] = await Promise.all([
      transaction.objectStore('jobs').get(id),
      transaction.objectStore('copied').index('job').getAll(id),
    ]);
    return row ? { job: row.job, cursor: row.cursor, events: rows.map(({ event }) => event) } : null;
  },
  copies: async () => (await (await database()).getAll('jobs')).map(({ job }) => job),
  async forget(id) {
    const transaction = (await database()).transaction(['jobs', 'copied'], 'readwrite');
    const copied = transaction.objectStore('copied');
    const keys = await copied.index('job').getAllKeys(id);
    await Promise.all([
      ...keys.map((key) => copied.delete(key)),
      transaction.objectStore('jobs').delete(id),
      transaction.done,
    ]);
  },
};

import type { JobEvent, JobId, PhotoId, PhotoPurpose } from '@which-way/core/switch';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

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
}

/** A photo that is not known to be on the server's disk. */
export interface KeptPhoto {
  id: PhotoId;
  purpose: PhotoPurpose;
  caption: string;
  /** Made of the bytes themselves: a file that is gone from the phone is still here. */
  bytes: ArrayBuffer;
  type: string;
}

/** Events that are not known to be on the server's disk, kept by the browser through reloads. */
export interface Outbox {
  put(job: JobId, event: JobEvent): Promise<void>;
  remove(ids: readonly string[]): Promise<void>;
  of(job: JobId): Promise<JobEvent[]>;
  putPhoto(job: JobId, photo: KeptPhoto): Promise<void>;
  removePhoto(id: PhotoId): Promise<void>;
  photosOf(job: JobId): Promise<KeptPhoto[]>;
}

let opened: Promise<IDBPDatabase<OutboxSchema>> | null = null;

function database(): Promise<IDBPDatabase<OutboxSchema>> {
  opened ??= openDB<OutboxSchema>('which-way', 2, {
    upgrade(opening, before) {
      if (before < 1) opening.createObjectStore('waiting', { keyPath: 'id' }).createIndex('job', 'job');
      if (before < 2) opening.createObjectStore('photos', { keyPath: 'id' }).createIndex('job', 'job');
    },
  });
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
    return rows
      .sort((one, other) => one.order - other.order || one.event.sequence - other.event.sequence)
      .map(({ event }) => event);
  },
  async putPhoto(job, photo) {
    await (await database()).put('photos', { ...photo, job });
  },
  async removePhoto(id) {
    await (await database()).delete('photos', id);
  },
  photosOf: async (job) => (await database()).getAllFromIndex('photos', 'job', job),
};

import type { JobEvent, JobId } from '@which-way/core/switch';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

interface OutboxSchema extends DBSchema {
  waiting: {
    key: string;
    value: { id: string; job: JobId; order: number; event: JobEvent };
    indexes: { job: string };
  };
}

/** Events that are not known to be on the server's disk, kept by the browser through reloads. */
export interface Outbox {
  put(job: JobId, event: JobEvent): Promise<void>;
  remove(ids: readonly string[]): Promise<void>;
  of(job: JobId): Promise<JobEvent[]>;
}

let opened: Promise<IDBPDatabase<OutboxSchema>> | null = null;

function database(): Promise<IDBPDatabase<OutboxSchema>> {
  opened ??= openDB<OutboxSchema>('which-way', 1, {
    upgrade(fresh) {
      fresh.createObjectStore('waiting', { keyPath: 'id' }).createIndex('job', 'job');
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
};

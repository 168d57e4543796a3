import type { NewJob, PostedEvents } from '@which-way/contract';
import { createWriter, type Deed, type JobEvent } from '@which-way/core/log';
import {
  describeSwitch,
  newIdFrom,
  seededRandom,
  type JobId,
  type NewId,
  type ReadingId,
} from '@which-way/core/switch';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApplication } from '../application.js';
import type { DatabaseDriver } from '../database/data-source.js';
import { readNote } from '../database/note.js';
import { Writer } from '../database/writer.js';

/** A server on a free port with a database of its own in a temporary folder. */
export interface Served {
  base: string;
  database: string;
  /** The application itself, to reach what is inside. */
  app: Pick<NestExpressApplication, 'get'>;
  call(
    method: string,
    path: string,
    body?: unknown,
    headers?: Record<string, string>,
  ): Promise<{ status: number; body: never }>;
  /** A small thing that the shop keeps, by its key. */
  note(key: string): Promise<string>;
  /** Stops and keeps the folder. */
  stop(): Promise<void>;
  close(): Promise<void>;
}

export async function serve(
  folder = mkdtempSync(join(tmpdir(), 'which-way-')),
  lan = false,
  driver?: DatabaseDriver,
): Promise<Served> {
  const database = join(folder, 'which-way.sqlite');
  const app = await createApplication({
    version: 'test',
    database,
    photos: join(folder, 'photos'),
    demo: false,
    pages: null,
    lan,
    newCode: false,
    backroom: new URL('../../bundle/backroom/backroom.worker.js', import.meta.url),
    driver,
  });
  await app.listen(0, '127.0.0.1');
  const base = await app.getUrl();
  return {
    base,
    database,
    app,
    async call(method, path, body, headers = {}) {
      const response = await fetch(base + path, {
        method,
        headers: { 'content-type': 'application/json', ...headers },
        body: body === undefined ? undefined : typeof body === 'string' ? body : JSON.stringify(body),
      });
      return { status: response.status, body: (await response.json()) as never };
    },
    note: async (key) => (await app.get(Writer).write((manager) => readNote(manager, key))) ?? '',
    stop: () => app.close(),
    async close() {
      await app.close();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** A new job with its first event, and a writer for more. */
export function newJob(seed: number): {
  job: NewJob;
  newId: NewId;
  events: JobEvent[];
  add: (what: Deed) => JobEvent;
  addReading: () => JobEvent;
} {
  const newId = newIdFrom(seededRandom(seed));
  const writer = createWriter({ newId, now: () => '2026-01-05T10:00:00.000Z' });
  const events: JobEvent[] = [];
  const add = (what: Deed) => {
    const event = writer.write(events, what);
    events.push(event);
    return event;
  };
  const change = describeSwitch({ terminals: 3, positions: 2, form: 'toggle', layout: 'one-row' }, newId);
  add({ kind: 'restructured', change, basedOn: null });
  const [red, black] = change.terminals.map(({ id }) => id);
  const addReading = () =>
    add({
      kind: 'answered',
      act: 'pair',
      prompt: null,
      source: 'typed',
      inCircuit: false,
      readings: [
        {
          id: newId<ReadingId>(),
          setting: change.settings[0]?.id as never,
          red: [red as never],
          black: [black as never],
          value: { kind: 'ohms', ohms: 0.3 },
        },
      ],
    });
  return {
    job: { id: newId<JobId>(), title: `Job of seed ${seed}`, outOfMachine: true },
    newId,
    events,
    add,
    addReading,
  };
}

/** Makes a job on a server, and gives it back with a way to send its events. */
export async function madeOn(served: Served, seed: number) {
  const fresh = newJob(seed);
  const { status } = await served.call('POST', '/api/jobs', fresh.job);
  if (status !== 201) throw new Error(`the job of seed ${seed} was not made: ${status}`);
  const post = async (events = fresh.events, after = 0): Promise<PostedEvents> =>
    (await served.call('POST', `/api/jobs/${fresh.job.id}/events`, { after, events })).body;
  return { ...fresh, post };
}

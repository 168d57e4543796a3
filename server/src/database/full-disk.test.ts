import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import type { ApiError, Job, JobWithEvents, Work } from '@which-way/contract';
import { standardLists } from '@which-way/core/safety';
import type { JobEvent } from '@which-way/core/log';
import { driverOn, type FullDisk } from '../testing/failing-driver.js';
import { newJob, serve, type Served } from '../testing/served.js';

const folders: string[] = [];
const folder = () => {
  folders.push(mkdtempSync(join(tmpdir(), 'which-way-full-')));
  return folders.at(-1) as string;
};
afterEach(() => {
  for (const place of folders.splice(0)) rmSync(place, { recursive: true, force: true });
});

const room = (): FullDisk => ({ at: null, seen: 0, rollsBack: true });

/** A write through the API, and how to look whether it is there: the whole of it, or nothing. */
interface Write {
  name: string;
  /** Makes what it needs beforehand; gives the write itself, which says whether it was acknowledged. */
  prepare(served: Served, seed: number): Promise<() => Promise<boolean>>;
  /** What is there of the last one, as something that can be compared. */
  look(served: Served, seed: number): Promise<unknown>;
  nothing: unknown;
  all: unknown;
}

const events = async (served: Served, id: string): Promise<JobEvent[]> =>
  ((await served.call('GET', `/api/jobs/${id}`)).body as JobWithEvents).events;
const status = async (answer: Promise<{ status: number }>) => (await answer).status < 300;
const make = async (served: Served, seed: number) => {
  const fresh = newJob(seed);
  await served.call('POST', '/api/jobs', fresh.job);
  return fresh;
};
const fileOf = (seed: number) => {
  const { job, events: log, addReading } = newJob(seed);
  for (let count = 0; count < 4; count += 1) addReading();
  return {
    format: 'which-way',
    version: 1,
    jobs: [{ ...job, place: '', simulation: null, created: '2026-01-05T10:00:00.000Z', events: log }],
    library: [],
  };
};
const shop = (name: string, version: number) => ({
  version,
  name,
  safetyLists: standardLists(),
  codeNotes: { 'plug-in': '', fixed: '', battery: '', 'extra-low': '' },
  meters: [],
});

const WRITES: Write[] = [
  {
    name: 'a new job',
    prepare: async (served, seed) => () => status(served.call('POST', '/api/jobs', newJob(seed).job)),
    look: async (served, seed) => (await served.call('GET', `/api/jobs/${newJob(seed).job.id}`)).status,
    nothing: 404,
    all: 200,
  },
  {
    name: 'a batch of events',
    prepare: async (served, seed) => {
      const { job, events: log, addReading } = await make(served, seed);
      addReading();
      addReading();
      return () => status(served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events: log }));
    },
    look: async (served, seed) => (await events(served, newJob(seed).job.id)).length,
    nothing: 0,
    all: 3,
  },
  {
    name: 'a change of the job',
    prepare: async (served, seed) => {
      const { job } = await make(served, seed);
      return () =>
        status(served.call('PATCH', `/api/jobs/${job.id}`, { version: 1, title: 'Other', archived: true }));
    },
    look: async (served, seed) => {
      const { body } = await served.call('GET', `/api/jobs/${newJob(seed).job.id}`);
      const { job } = body as { job: Job };
      return [job.title === 'Other', job.archived, job.version];
    },
    nothing: [false, false, 1],
    all: [true, true, 2],
  },
  {
    name: 'a deleted job',
    prepare: async (served, seed) => {
      const { job, events: log } = await make(served, seed);
      await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events: log });
      return () => status(served.call('DELETE', `/api/jobs/${job.id}`));
    },
    look: async (served, seed) => (await served.call('GET', `/api/jobs/${newJob(seed).job.id}`)).status,
    nothing: 200,
    all: 410,
  },
  {
    name: 'a file',
    prepare: async (served, seed) => () => status(served.call('POST', '/api/import', fileOf(seed))),
    look: async (served, seed) => {
      const { status: found, body } = await served.call('GET', `/api/jobs/${newJob(seed).job.id}`);
      return found === 200 ? (body as JobWithEvents).events.length : found;
    },
    nothing: 404,
    all: 5,
  },
  {
    name: 'a file for a job that is there',
    prepare: async (served, seed) => {
      await make(served, seed);
      return () => status(served.call('POST', '/api/import', fileOf(seed)));
    },
    look: async (served, seed) => (await events(served, newJob(seed).job.id)).length,
    nothing: 0,
    all: 5,
  },
  {
    name: 'the shop’s lists',
    prepare: async (served, seed) => {
      const { version } = (await served.call('GET', '/api/shop')).body as { version: number };
      return () => status(served.call('PUT', '/api/shop', shop(`Shop ${seed}`, version)));
    },
    look: async (served, seed) =>
      ((await served.call('GET', '/api/shop')).body as { name: string }).name === `Shop ${seed}`,
    nothing: false,
    all: true,
  },
  {
    name: 'the word that what is missing was seen',
    prepare: async (served) => () => status(served.call('DELETE', '/api/health/missing')),
    look: async (served) => (await served.call('GET', '/api/health')).status,
    nothing: 200,
    all: 200,
  },
];

/** Waits for all long work to end. */
const rested = async (served: Served) => {
  for (;;) {
    const works = (await served.call('GET', '/api/works')).body as Work[];
    if (works.every(({ state }) => state !== 'running' && state !== 'waiting')) return;
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
};

describe.each([true, false])(
  'a disk that is full at any statement (rolls back by itself: %s)',
  (rollsBack) => {
    const disk = room();
    const place = mkdtempSync(join(tmpdir(), 'which-way-full-'));
    let served: Served;
    let seed = 1000;
    /** What was said of each write, to be looked at again after a restart. */
    const said: { write: Write; seed: number; ok: boolean }[] = [];
    beforeAll(async () => {
      served = await serve(place, false, driverOn(disk));
    });
    afterAll(() => served.close());

    /** A job made after a failure: what comes next is stored, and not in a transaction that nobody ends. */
    const storesTheNext = async () => {
      const after = await make(served, seed + 50_000);
      const posted = await served.call('POST', `/api/jobs/${after.job.id}/events`, {
        after: 0,
        events: after.events,
      });
      expect(posted.status).toBe(200);
    };

    it.each(WRITES)('leaves of $name all or nothing, says which, and stores the next one', async (write) => {
      const before = said.length;
      for (let at = 1; ; at += 1) {
        seed += 1;
        const run = await write.prepare(served, seed);
        Object.assign(disk, { at, seen: 0, rollsBack });
        const ok = await run();
        await rested(served);
        const reached = disk.seen >= at;
        Object.assign(disk, { at: null });
        expect(await write.look(served, seed)).toEqual(ok ? write.all : write.nothing);
        said.push({ write, seed, ok });
        await storesTheNext();
        if (!reached) {
          expect(ok).toBe(true);
          break;
        }
        expect(at).toBeLessThan(60);
      }
      expect(said.length - before).toBeGreaterThan(2);
    });

    it('and all of it is so after a restart', async () => {
      await served.stop();
      served = await serve(place);
      expect(new Set(said.map(({ write }) => write.name)).size).toBe(WRITES.length);
      for (const { write, seed: one, ok } of said) {
        if (write.name !== 'the shop’s lists')
          expect(await write.look(served, one)).toEqual(ok ? write.all : write.nothing);
        expect(await events(served, newJob(one + 50_000).job.id)).toHaveLength(1);
      }
    });
  },
);

describe('a disk that is really full', () => {
  it('is told as such; everything acknowledged around it is there after a restart, in order', async () => {
    const place = folder();
    let opened: Database.Database | null = null;
    const driver = class extends Database {
      constructor(path: string, options?: Database.Options) {
        super(path, options);
        opened = this as unknown as Database.Database;
      }
    } as never;
    let served = await serve(place, false, driver);
    const { job, add, events: log } = await make(served, 7);
    const said: string[] = [];
    const full = (on: boolean) => {
      const pages = (opened?.pragma('page_count') as { page_count: number }[])[0]?.page_count ?? 0;
      opened?.pragma(`max_page_count = ${on ? pages : 1_000_000}`);
    };
    const refused: string[] = [];
    await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events: log });
    said.push(...log.map(({ id }) => id));
    for (let round = 0; round < 40; round += 1) {
      if (round === 10) full(true);
      if (round === 30) full(false);
      const event = add({ kind: 'noted', field: 'complaint', text: 'x'.repeat(3000) });
      const { status: code, body } = await served.call('POST', `/api/jobs/${job.id}/events`, {
        after: 0,
        events: [event],
      });
      if (code === 200) said.push(event.id);
      else {
        refused.push(event.id);
        expect([code, (body as ApiError).code]).toEqual([503, 'disk-full']);
      }
    }
    expect(refused.length).toBeGreaterThan(5);
    expect(said.length).toBeGreaterThan(15);
    await served.stop();
    served = await serve(place);
    expect((await events(served, job.id)).map(({ id }) => id)).toEqual(said);
    await served.close();
  });
});

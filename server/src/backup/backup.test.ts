import { upgradeEvent } from '@which-way/core/log';
import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { unzipSync, zipSync, type Zippable } from 'fflate';
import Database from 'libsql';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Health, Job, JobSummary, JobWithEvents, Work } from '@which-way/contract';
import { backUp, bench, filled, folder, PHOTO, restore } from '../testing/backups.js';
import { newJob, serve, type Served } from '../testing/served.js';

const root = fileURLToPath(new URL('../../..', import.meta.url));
describe('a backup', () => {
  let place: string;
  let served: Served;
  let zip: Buffer;
  beforeAll(async () => {
    place = folder();
    ({ served } = await filled(place));
    zip = await backUp(served);
  });
  afterAll(() => served.close());

  it('holds all of the bench while the server runs, and the bench says when it was made', async () => {
    const names = Object.keys(unzipSync(zip)).sort();
    expect(names).toEqual([
      'manifest.json',
      `photos/${PHOTO}.jpg`,
      `photos/${PHOTO}.thumb.jpg`,
      'which-way.sqlite',
    ]);
    const health: Health = (await served.call('GET', '/api/health')).body;
    expect(Date.now() - Date.parse(health.backedUp ?? '')).toBeLessThan(3_600_000);
  });

  it('put back onto an empty bench gives the same bench, its photos too, and goes on from there', async () => {
    const before = await bench(served);
    const other = await serve();
    const work = await restore(other, zip);
    expect(work).toMatchObject({ state: 'done' });
    expect(await bench(other)).toEqual(before);
    const { job, events } = newJob(3);
    await other.call('POST', '/api/jobs', job);
    expect((await other.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events })).status).toBe(200);
    expect((await bench(other)).jobs[0]?.[0]).toBe(3);
    await other.close();
  });

  it('is not put back onto a bench that has jobs', async () => {
    const before = await bench(served);
    expect(await restore(served, zip)).toEqual({ status: 409, code: 'bench-not-empty' });
    expect(await bench(served)).toEqual(before);
  });

  it('that is cut off, changed, incomplete, or none at all changes nothing of the bench', async () => {
    const parts = unzipSync(zip);
    const manifest = JSON.parse(Buffer.from(parts['manifest.json'] ?? []).toString()) as object;
    const zipped = (change: Zippable, without = '') => {
      const entries = Object.entries({ ...parts, ...change }).filter(([name]) => name !== without);
      return zipSync(Object.fromEntries(entries), { level: 0 });
    };
    const json = (value: object) => new TextEncoder().encode(JSON.stringify(value));
    const broken = (parts['which-way.sqlite'] ?? new Uint8Array()).slice();
    broken.set(new TextEncoder().encode('nonsense'), 5000);
    const cases: [Uint8Array, string][] = [
      [zip.subarray(0, zip.length - 30), 'damaged-file'],
      [new TextEncoder().encode('no zip at all'), 'damaged-file'],
      [zipped({}, 'manifest.json'), 'not-a-backup'],
      [zipped({}, `photos/${PHOTO}.jpg`), 'damaged-file'],
      [zipped({ 'which-way.sqlite': broken }), 'damaged-file'],
      [zipped({ 'manifest.json': json({ ...manifest, version: 9 }) }), 'not-a-backup'],
      [zipped({ 'manifest.json': json({ ...manifest, files: { '../x': '' } }) }), 'not-a-backup'],
    ];
    const empty = await serve();
    for (const [body, code] of cases)
      expect(await restore(empty, body)).toMatchObject({ state: 'failed', error: { code } });
    expect((await bench(empty)).jobs).toEqual([]);
    expect((await restore(empty, zip)) as Work).toMatchObject({ state: 'done' });
    await empty.close();
  });
});

describe('the one file of the database', () => {
  it('holds everything once the server has stopped, so that a copy of it alone is a copy of the bench', async () => {
    const place = folder();
    const { served } = await filled(place);
    const before = await bench(served);
    await served.stop();
    expect(
      existsSync(join(place, 'which-way.sqlite-wal'))
        ? statSync(join(place, 'which-way.sqlite-wal')).size
        : 0,
    ).toBe(0);
    const copy = folder();
    cpSync(join(place, 'which-way.sqlite'), join(copy, 'which-way.sqlite'));
    const other = await serve(copy);
    expect({ ...(await bench(other)), photo: 200 }).toEqual(before);
    await other.close();
  });

  it('that is older than what was acknowledged is noticed at the start, and new events are numbered after the lost ones', async () => {
    const place = folder();
    const { served, jobs } = await filled(place);
    await served.stop();
    const old = readFileSync(join(place, 'which-way.sqlite'));
    const again = await serve(place);
    const [{ job, add }] = jobs as [ReturnType<typeof newJob>];
    const more = [1, 2, 3].map((count) => add({ kind: 'noted', field: 'complaint', text: `${count}` }));
    const { cursor } = (await again.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events: more }))
      .body as JobWithEvents;
    await again.stop();
    writeFileSync(join(place, 'which-way.sqlite'), old);
    const later = await serve(place);
    const health: Health = (await later.call('GET', '/api/health')).body;
    expect(health.missing).toMatchObject({ count: 3 });
    const posted = (await later.call('POST', `/api/jobs/${job.id}/events`, { after: cursor, events: more }))
      .body as JobWithEvents;
    expect(posted.events.map(({ id }) => id)).toEqual(more.map(({ id }) => id));
    expect(posted.cursor).toBeGreaterThan(cursor);
    await later.call('DELETE', '/api/health/missing');
    expect(((await later.call('GET', '/api/health')).body as Health).missing).toBeNull();
    await later.close();
  });
});

describe('a database of another time', () => {
  it('written by the first version opens, with all its jobs, photos and entries', async () => {
    const place = folder();
    cpSync(join(root, 'fixtures/first/which-way.sqlite'), join(place, 'which-way.sqlite'));
    const served = await serve(place);
    const project = JSON.parse(readFileSync(join(root, 'fixtures/first/project.json'), 'utf8')) as {
      jobs: { id: string; events: unknown[] }[];
      library: unknown[];
    };
    const list: JobSummary[] = (await served.call('GET', '/api/jobs')).body;
    expect(list.map(({ trouble }) => trouble)).toEqual(list.map(() => null));
    for (const { id, events } of project.jobs)
      expect(((await served.call('GET', `/api/jobs/${id}`)).body as JobWithEvents).events).toEqual(
        events.map(upgradeEvent),
      );
    const again = await served.call('POST', '/api/import', project);
    expect(again.body).toMatchObject({ eventsAdded: 0, jobsAdded: 0 });
    const library = (await served.call('GET', '/api/library?size=200&search=s')).body as { count: number };
    expect(library.count).toBeGreaterThan(3);
    const all = (await served.call('GET', '/api/library')).body as { count: number };
    expect(all.count).toBe(project.library.length);
    await served.close();
  });

  it('with a blank title gives that job a name, and a file of it is taken in by another bench', async () => {
    const place = folder();
    const path = join(place, 'which-way.sqlite');
    cpSync(join(root, 'fixtures/first/which-way.sqlite'), path);
    const database = new Database(path);
    const { id, number } = database.prepare('SELECT id, number FROM job LIMIT 1').get() as Job;
    database.prepare('UPDATE job SET title = ? WHERE id = ?').run(' \t\u00a0', id);
    database.close();
    const served = await serve(place);
    const { job } = (await served.call('GET', `/api/jobs/${id}`)).body as JobWithEvents;
    expect(job.title).toBe(`Job ${number}`);
    const file = (await served.call('GET', `/api/jobs/${id}/export`)).body as object;
    await served.close();
    const other = await serve(folder());
    expect((await other.call('POST', '/api/import', file)).body).toMatchObject({ jobsAdded: 1 });
    await other.close();
  });

  it('written by a newer one is refused at the start with the version that it needs, and is not touched', async () => {
    const place = folder();
    const path = join(place, 'which-way.sqlite');
    await (await serve(place)).stop();
    const database = new Database(path);
    database.exec("INSERT INTO migrations (timestamp, name) VALUES (9999999999999, 'Later9999999999999')");
    database.exec("INSERT OR REPLACE INTO note (key, value) VALUES ('needs', '7.1.0')");
    database.pragma('wal_checkpoint(TRUNCATE)');
    database.close();
    const before = readFileSync(path);
    const { status, stderr } = spawnSync(process.execPath, ['server/bundle/main.js', '--data', place], {
      cwd: root,
      encoding: 'utf8',
    });
    expect([status, stderr]).toEqual([3, expect.stringContaining('it needs version 7.1.0 or newer')]);
    expect(readFileSync(path).equals(before)).toBe(true);
  });
});

describe('the start', () => {
  const start = (...args: string[]) =>
    spawnSync(process.execPath, ['server/bundle/main.js', ...args], {
      cwd: root,
      encoding: 'utf8',
      input: '',
    });

  it('afresh on one’s own data asks, moves it aside, and never deletes', async () => {
    const place = join(folder(), 'own');
    mkdirSync(place);
    const { served } = await filled(place);
    await served.stop();
    const refused = start('--data', place, '--fresh');
    expect([refused.status, refused.stderr]).toEqual([3, expect.stringContaining('Nothing was changed')]);
    expect(existsSync(join(place, 'which-way.sqlite'))).toBe(true);
  });

  it('with a mistyped flag, a wrong port or a taken one says a sentence and no stack', async () => {
    const served = await serve();
    const { port } = new URL(served.base);
    for (const [args, said] of [
      [['--prot', '4000'], "Unknown option '--prot'"],
      [['--port', 'four'], '--port takes a number'],
      [['--port', port], `Port ${port} is taken`],
    ] as const) {
      const { status, stderr } = start('--data', folder(), ...args);
      expect(status).toBeGreaterThan(1);
      expect(stderr).toContain(said);
      expect(stderr).not.toMatch(/\n\s+at /);
    }
    await served.close();
  });
});

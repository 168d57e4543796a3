import { upgradeEvent } from '@which-way/core/log';
import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { unzipSync, zipSync, type Zippable } from 'fflate';
import Database from 'libsql';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Health, Job, JobSummary, JobWithEvents, ShareAnswer, Work } from '@which-way/contract';
import { takeDataFolder } from '../database/data-folder.js';
import { requestFromElsewhere } from '../testing/from-elsewhere.js';
import { newJob, serve, type Served } from '../testing/served.js';

const root = fileURLToPath(new URL('../../..', import.meta.url));
const folder = () => mkdtempSync(join(tmpdir(), 'which-way-backup-'));

const ended = async (served: Served, id: string): Promise<Work> => {
  for (;;) {
    const work: Work = (await served.call('GET', `/api/works/${id}`)).body;
    if (work.state !== 'running' && work.state !== 'waiting') return work;
    await new Promise((resolve) => setTimeout(resolve, 15));
  }
};
const backUp = async (served: Served): Promise<Buffer> => {
  const work = await ended(served, ((await served.call('POST', '/api/backup')).body as Work).id);
  expect(work.state).toBe('done');
  return Buffer.from(await (await fetch(`${served.base}/api/works/${work.id}/file`)).arrayBuffer());
};
const restore = async (
  served: Served,
  body: Uint8Array,
): Promise<Work | { status: number; code: string }> => {
  const response = await fetch(`${served.base}/api/restore`, {
    method: 'POST',
    headers: { 'content-type': 'application/zip' },
    body: new Uint8Array(body),
  });
  const answer = (await response.json()) as Work & { code: string };
  return response.ok ? ended(served, answer.id) : { status: response.status, code: answer.code };
};
const PHOTO = 'a0000000-0000-4000-8000-00000000bbbb';

/** A bench with two jobs, a photo, and most of it only in the write-ahead log. */
const filled = async (place: string) => {
  const served = await serve(place);
  const jobs = [newJob(1), newJob(2)];
  for (const { job, events, addReading } of jobs) {
    addReading();
    await served.call('POST', '/api/jobs', job);
    await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
  }
  const picture = await sharp({ create: { width: 30, height: 20, channels: 3, background: '#654321' } })
    .jpeg()
    .toBuffer();
  await fetch(`${served.base}/api/photos/${PHOTO}`, {
    method: 'PUT',
    headers: { 'content-type': 'image/jpeg' },
    body: new Uint8Array(picture),
  });
  return { served, jobs };
};
const bench = async (served: Served) => {
  const list: JobSummary[] = (await served.call('GET', '/api/jobs')).body;
  const logs = await Promise.all(
    list.map(async ({ id }) => ((await served.call('GET', `/api/jobs/${id}`)).body as JobWithEvents).events),
  );
  const photo = await fetch(`${served.base}/api/photos/${PHOTO}`);
  return { jobs: list.map(({ number, title }) => [number, title]), logs, photo: photo.status };
};

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

/** The zip of a backup with its database changed by hand, and its list made to fit. */
const tampered = (zip: Uint8Array, change: (database: Database.Database) => void): Uint8Array => {
  const parts = unzipSync(zip);
  const path = join(folder(), 'which-way.sqlite');
  writeFileSync(path, parts['which-way.sqlite'] ?? new Uint8Array());
  const database = new Database(path);
  change(database);
  database.close();
  const bytes = readFileSync(path);
  const manifest = JSON.parse(Buffer.from(parts['manifest.json'] ?? []).toString()) as {
    files: Record<string, string>;
  };
  manifest.files['which-way.sqlite'] = createHash('sha256').update(bytes).digest('hex');
  return zipSync({
    ...parts,
    'which-way.sqlite': new Uint8Array(bytes),
    'manifest.json': new TextEncoder().encode(JSON.stringify(manifest)),
  });
};

describe('a backup whose database is not one of ours', () => {
  let zip: Buffer;
  let empty: Served;
  beforeAll(async () => {
    const { served } = await filled(folder());
    zip = await backUp(served);
    await served.close();
    empty = await serve();
  });
  afterAll(() => empty.close());

  it.each<[string, string, string]>([
    [
      'a trigger that ignores what is stored',
      'CREATE TRIGGER evil BEFORE INSERT ON job_event BEGIN SELECT RAISE(IGNORE); END',
      'trigger evil',
    ],
    [
      'a trigger named like the text index',
      'CREATE TRIGGER library_text_data BEFORE INSERT ON job BEGIN SELECT RAISE(IGNORE); END',
      'trigger library_text_data',
    ],
    ['a view', 'CREATE VIEW jobs AS SELECT * FROM job', 'view jobs'],
    ['a foreign table', 'CREATE TABLE extra (x)', 'table extra'],
    ['a column too many', 'ALTER TABLE job ADD COLUMN extra TEXT', 'table job'],
    ['a column too few', 'ALTER TABLE job DROP COLUMN clock', 'table job'],
    ['a table too few', 'DROP TABLE staged_event', 'table staged_event'],
    ['an index too few', 'DROP INDEX library_entry_name', 'index library_entry_name'],
    ['a unique index too many', 'CREATE UNIQUE INDEX one ON job_event (what)', 'index one'],
    ['a guard of the log removed', 'DROP TRIGGER job_event_no_update', 'trigger job_event_no_update'],
    [
      'a table that takes nothing',
      'DROP TABLE note; CREATE TABLE note (key TEXT PRIMARY KEY NOT NULL, value TEXT NOT NULL CHECK (0))',
      'table note',
    ],
    ['no list of versions', 'DROP TABLE migrations', 'table migrations'],
    ['versions with a gap', "DELETE FROM migrations WHERE name LIKE 'Third%'", 'versions'],
    ['a simulation that is no JSON', "UPDATE job SET simulation = '{'", 'a job'],
  ])('%s: is refused by name, and the bench goes on', async (_, sql, named) => {
    const work = await restore(empty, tampered(zip, (database) => database.exec(sql)));
    expect(work).toMatchObject({ state: 'failed', error: { code: expect.stringMatching(/not-a-backup|damaged-file/) } });
    expect((work as Work).error?.message).toContain(named);
    expect((work as Work).error?.message).not.toMatch(/SQLITE|no such|syntax error/i);
    expect((await empty.call('GET', '/api/jobs')).body).toEqual([]);
  });

  it('and one that says it is larger than the disk is refused before it is unpacked', async () => {
    const bomb = Buffer.from(zip);
    // The size in the central directory (APPNOTE 4.3.12: 24 bytes after its signature), of the database, which is its first entry.
    bomb.writeUInt32LE(0xfffffff0, bomb.indexOf(Buffer.from([0x50, 0x4b, 0x01, 0x02])) + 24);
    const work = (await restore(empty, bomb)) as Work;
    expect([work.state, work.error?.code]).toEqual(['failed', expect.stringMatching(/damaged-file|disk-full/)]);
    expect((await empty.call('GET', '/api/jobs')).body).toEqual([]);
  });

  it('the one that it came from is put back, once nobody has tampered with it', async () => {
    const work = (await restore(empty, tampered(zip, () => undefined))) as Work;
    expect(work).toMatchObject({ state: 'done' });
  });
});

describe('a backup and what lets people in', () => {
  it('holds no code, no session and no link, not in a free page of it either', async () => {
    const place = folder();
    const served = await serve(place, true);
    const { job, events } = newJob(9);
    await served.call('POST', '/api/jobs', job);
    await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
    const code = await served.note('access');
    const { share } = (await served.call('POST', `/api/jobs/${job.id}/share`)).body as ShareAnswer;
    const signed = await requestFromElsewhere(served.base, 'POST', '/sign-in', { body: `code=${code}` });
    const [cookie = ''] = (signed.headers['set-cookie'] ?? []) as string[];
    const token = cookie.split(';')[0]?.split('=')[1] ?? '';
    const zip = await backUp(served);
    const database = Buffer.from(unzipSync(zip)['which-way.sqlite'] ?? []);
    const hash = createHash('sha256').update(token).digest('hex');
    for (const secret of [code, share?.token ?? '', token, hash]) {
      expect(secret.length).toBeGreaterThan(8);
      expect(database.includes(secret)).toBe(false);
    }
    expect(readFileSync(join(place, 'which-way.sqlite')).length).toBeGreaterThan(0);
    expect(statSync(join(place, 'which-way.sqlite')).mode & 0o777).toBe(0o600);
    // Put back beside: the other bench has a code of its own, and neither the link nor the device gets in.
    const other = await serve(folder(), true);
    const own = await other.note('access');
    expect(await restore(other, zip)).toMatchObject({ state: 'done' });
    expect(await other.note('access')).toBe(own);
    const get = async (path: string) =>
      (await requestFromElsewhere(other.base, 'GET', path, { cookie: `which-way=${token}`, accept: '*/*' }))
        .status;
    expect([await get('/api/jobs'), await get(`/shared/${share?.token}`)]).toEqual([401, 404]);
    await other.close();
    await served.close();
  });

  it('of before, with its code and links in notes, loses them when it is put back', async () => {
    const { served } = await filled(folder());
    const zip = await backUp(served);
    const jobs: JobSummary[] = (await served.call('GET', '/api/jobs')).body;
    await served.close();
    const token = 'b'.repeat(32);
    const old = tampered(zip, (database) => {
      database.exec('DROP TABLE link; DROP TABLE session; ALTER TABLE tombstone ADD COLUMN title TEXT');
      database.exec("DELETE FROM migrations WHERE name LIKE 'Sixth%'");
      database.exec("INSERT INTO note VALUES ('access', 'OLDC-ODE2 secret')");
      database
        .prepare('INSERT INTO note VALUES (?, ?)')
        .run(`share-of ${jobs[0]?.id}`, `${token} 2099-01-01T00:00:00.000Z`);
    });
    const other = await serve(folder(), true);
    // The tombstone's title was NOT NULL then: what else is not as it was is refused.
    const work = (await restore(other, old)) as Work;
    expect([work.state, work.error?.message]).toEqual(['failed', expect.stringContaining('table tombstone')]);
    const right = tampered(old, (database) =>
      database.exec(`DROP TABLE tombstone; CREATE TABLE tombstone (
        job_id TEXT PRIMARY KEY NOT NULL, number INTEGER NOT NULL, title TEXT NOT NULL, deleted TEXT NOT NULL)`),
    );
    expect(await restore(other, right)).toMatchObject({ state: 'done' });
    expect(await other.note('access')).not.toContain('OLDC');
    expect((await requestFromElsewhere(other.base, 'GET', `/shared/${token}`)).status).toBe(404);
    await other.close();
  });
});

describe('backup and restore by command', () => {
  const command = (name: string, ...args: string[]) =>
    spawnSync(process.execPath, [`server/dist/${name}-command.js`, ...args], { cwd: root, encoding: 'utf8' });

  it('copy a bench that is being served, put it back whole, and move aside what is there', async () => {
    const place = folder();
    const { served } = await filled(place);
    const before = await bench(served);
    const file = join(place, 'copy.zip');
    expect(command('backup', file, '--data', place).status).toBe(0);
    expect(command('backup', file, '--data', place).stderr).toContain('is there already');
    const { release } = takeDataFolder(place, false);
    expect(command('restore', file, '--data', place).stderr).toContain('Another Which Way is using');
    release();
    await served.stop();
    const data = join(place, 'elsewhere');
    const first = command('restore', file, '--data', data);
    expect([first.status, first.stdout]).toEqual([0, expect.stringContaining('2 jobs, 4 events')]);
    const other = await serve(data);
    expect(await bench(other)).toEqual(before);
    await other.stop();
    expect(command('restore', file, '--data', data).stdout).toContain('What was there is in');
    expect(readdirSync(data).some((name) => name.startsWith('aside-'))).toBe(true);
    expect(command('restore', 'nowhere.zip', '--data', data).stderr).toContain('There is no file');
    expect(command('restore').stderr).toContain('Say which backup');
    expect(command('backup', '--data', join(place, 'nothing')).stderr).toContain('There is no bench');
    expect(command('backup', '--dats', place).stderr).toMatch(/Unknown option '--dats'/);
  });
});

describe('a backup for which there is no room', () => {
  it('by a limit on the size of files, says so without an engine’s words, and leaves nothing behind', async () => {
    const place = folder();
    const { served } = await filled(place);
    await served.stop();
    const limited = (blocks: number, command: string) =>
      spawnSync('sh', ['-c', `ulimit -f ${blocks}; exec "${process.execPath}" ${command}`], {
        cwd: root,
        encoding: 'utf8',
      });
    const file = join(place, 'copy.zip');
    const { status, stderr } = limited(40, `server/dist/backup-command.js "${file}" --data "${place}"`);
    expect([status, stderr]).toEqual([3, expect.stringContaining('There is no room for the backup')]);
    expect(stderr).not.toMatch(/SQLITE|EFBIG|I\/O error|\n\s+at /);
    expect(readdirSync(place).filter((name) => name.startsWith('copy.zip'))).toEqual([]);
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
    const { status, stderr } = spawnSync(process.execPath, ['server/dist/main.js', '--data', place], {
      cwd: root,
      encoding: 'utf8',
    });
    expect([status, stderr]).toEqual([3, expect.stringContaining('it needs version 7.1.0 or newer')]);
    expect(readFileSync(path).equals(before)).toBe(true);
  });
});

describe('the start', () => {
  const start = (...args: string[]) =>
    spawnSync(process.execPath, ['server/dist/main.js', ...args], { cwd: root, encoding: 'utf8', input: '' });

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

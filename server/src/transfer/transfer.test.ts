import { upgradeEvent } from '@which-way/core/log';
import type { Imported, JobSummary, JobWithEvents, LibraryPage, Shop, Work } from '@which-way/contract';
import type { ProjectFile } from '@which-way/core/formats';
import { unzipSync, zipSync } from 'fflate';
import Database from 'libsql';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newJob, serve, type Served } from '../testing/served.js';
import { lookedThrough, workEnded } from '../testing/works.js';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.close());

/** Everything as the program saves it: the zip, and the project file in it. */
async function exported(served: Served): Promise<{ zip: Buffer; file: ProjectFile }> {
  const begun: Work = (await served.call('POST', '/api/export')).body;
  const work = await workEnded(served, begun.id);
  expect(work.state).toBe('done');
  const zip = Buffer.from(await (await fetch(`${served.base}/api/works/${work.id}/file`)).arrayBuffer());
  const names = unzipSync(zip);
  return { zip, file: JSON.parse(Buffer.from(names['which-way.json'] ?? []).toString()) as ProjectFile };
}

const take = async (served: Served, id: string, shop = false) => {
  expect((await served.call('POST', `/api/imports/${id}/take?shop=${shop}`)).status).toBe(202);
  return workEnded(served, id);
};
const asFile = ({ job, events }: ReturnType<typeof newJob>) => ({
  ...job,
  place: '',
  simulation: null,
  created: '2026-01-05T10:00:00.000Z',
  events,
});

const demo = (name: string): ProjectFile =>
  JSON.parse(readFileSync(new URL(`../../../demo/${name}`, import.meta.url), 'utf8')) as ProjectFile;

describe('import and export', () => {
  it('takes in the demo files whole, and gives the same back', async () => {
    const [jobs, library] = [demo('jobs.json'), demo('library.json')];
    const done: Imported = (await served.call('POST', '/api/import', jobs)).body;
    expect(done).toMatchObject({ jobsAdded: jobs.jobs.length, jobsMerged: 0 });
    expect((await served.call('POST', '/api/import', library)).body).toMatchObject({
      entriesAdded: library.library.length,
    });
    const out = await exported(served);
    expect(out.file.jobs).toEqual(jobs.jobs.map((job) => ({ ...job, events: job.events.map(upgradeEvent) })));
    const byId = (entries: ProjectFile['library']) =>
      entries.toSorted((one, other) => one.id.localeCompare(other.id));
    expect(byId(out.file.library)).toEqual(byId(library.library));
  });

  it('changes nothing when the same file comes again', async () => {
    const again: Imported = (await served.call('POST', '/api/import', demo('jobs.json'))).body;
    expect(again).toMatchObject({ jobsAdded: 0, eventsAdded: 0 });
  });

  it('takes in nothing of a file in which one thing is wrong', async () => {
    const before: JobSummary[] = (await served.call('GET', '/api/jobs')).body;
    const { job, events } = newJob(31);
    const whole = { ...job, place: '', simulation: null, created: '2026-01-05T10:00:00.000Z', events };
    const wrong = { ...whole, id: newJob(32).job.id, title: '' };
    const file = { format: 'which-way', version: 1, jobs: [whole, wrong], library: [] };
    const answer = await served.call('POST', '/api/import', file);
    expect(answer).toMatchObject({ status: 422, body: { path: 'jobs.1.title' } });
    const clash = {
      ...whole,
      events: events.map((event) => ({ ...event, id: demo('jobs.json').jobs[0]?.events[0]?.id })),
    };
    const refused = await served.call('POST', '/api/import', {
      ...file,
      jobs: [whole, { ...clash, id: wrong.id }],
    });
    expect(refused).toMatchObject({
      status: 409,
      body: { code: 'event-differs', path: 'jobs.1.events.0.id' },
    });
    const after: JobSummary[] = (await served.call('GET', '/api/jobs')).body;
    expect(after.length).toBe(before.length);
  });

  it('says what is wrong with what is no file of ours', async () => {
    for (const body of [[], { hello: 1 }, { format: 'which-way', version: 7 }]) {
      const answer = await served.call('POST', '/api/import', body);
      expect(answer.status).toBe(422);
      expect(answer.body).toHaveProperty('hint');
    }
    expect((await served.call('POST', '/api/import', '{"format":"which-way","jobs":[')).status).toBe(400);
  });
});

describe('a file that is looked through first', () => {
  it('sets aside what is wrong, with what and where; the rest enters together', async () => {
    const [one, two, three] = [newJob(61), newJob(62), newJob(63)];
    const broken = structuredClone(one.addReading());
    Object.assign(broken.what, { act: 'guess' });
    one.events[one.events.length - 1] = broken;
    const file = {
      format: 'which-way',
      version: 1,
      jobs: [asFile(one), { ...asFile(two), title: '' }, asFile(three), asFile(three)],
      library: [{ id: 'x' }],
    };
    const work = await lookedThrough(served, JSON.stringify(file));
    expect(work.state).toBe('ready');
    expect(work.preview).toMatchObject({ jobsNew: 2, jobsJoined: 0, events: 2, entries: 0, shop: 'none' });
    expect(work.preview?.setAside.map(({ code, path, of }) => [code, path, of])).toEqual([
      ['schema-enum', 'jobs.0.events.1.what.act', `an event of ${one.job.title}`],
      ['schema-minLength', 'jobs.1.title', 'the job number 2 with 1 events'],
      ['twice', 'jobs.3.events.0', `an event of ${three.job.title}`],
      ['twice', 'jobs.3', `the job ${three.job.title}`],
      ['schema-required', 'library.0.kind', 'the library entry'],
    ]);
    const before: JobSummary[] = (await served.call('GET', '/api/jobs')).body;
    expect(before.some(({ id }) => id === one.job.id)).toBe(false);
    const done = await take(served, work.id);
    expect(done.imported).toMatchObject({ jobsAdded: 2, eventsAdded: 2 });
    const opened: JobWithEvents = (await served.call('GET', `/api/jobs/${one.job.id}`)).body;
    expect(opened.events).toEqual(one.events.slice(0, 1));
    expect((await served.call('GET', `/api/jobs/${two.job.id}`)).status).toBe(404);
  });

  it('of everything, with photos and the shop’s lists, gives the same bench again elsewhere', async () => {
    const photo = 'a0000000-0000-4000-8000-00000000aaaa';
    const picture = await sharp({ create: { width: 30, height: 20, channels: 3, background: '#123456' } })
      .jpeg()
      .toBuffer();
    await fetch(`${served.base}/api/photos/${photo}`, {
      method: 'PUT',
      headers: { 'content-type': 'image/jpeg' },
      body: new Uint8Array(picture),
    });
    const shop: Shop = (await served.call('GET', '/api/shop')).body;
    await served.call('PUT', '/api/shop', { ...shop, name: 'Harbour repair room' });
    const { zip, file } = await exported(served);
    const other = await serve();
    const work = await lookedThrough(other, zip);
    expect(work.preview).toMatchObject({
      jobsNew: file.jobs.length,
      photos: 1,
      shop: 'first',
      setAsideCount: 0,
    });
    expect((await take(other, work.id, true)).imported).toMatchObject({ photosAdded: 1, shopTaken: true });
    const again = await exported(other);
    expect(again.file).toEqual(file);
    expect(((await other.call('GET', '/api/shop')).body as Shop).name).toBe('Harbour repair room');
    expect((await fetch(`${other.base}/api/photos/${photo}`)).status).toBe(200);
    await other.close();
  });

  it('that was cut off, damaged, no file of ours, or of a newer version is refused as a whole', async () => {
    const { zip } = await exported(served);
    const cases: [Buffer | string, string][] = [
      [zip.subarray(0, zip.length - 100), 'damaged-file'],
      ['{"format":"which-way","version":2,"jobs":[', 'bad-json'],
      ['', 'bad-json'],
      ['{"format":"other"}', 'not-our-file'],
      ['{"format":"which-way","version":99,"jobs":[]}', 'unknown-version'],
      [Buffer.from(zipSync({ 'else.txt': new Uint8Array(4) })), 'damaged-file'],
    ];
    for (const [body, code] of cases) {
      const work = await lookedThrough(served, body);
      expect([work.state, work.error?.code]).toEqual(['failed', code]);
      expect(work.error?.hint.length).toBeGreaterThan(10);
    }
    for (let at = 60; at < zip.length - 400; at += Math.ceil(zip.length / 25)) {
      const flipped = Buffer.from(zip);
      flipped[at] = (flipped[at] as number) ^ 0xff;
      expect([at, (await lookedThrough(served, flipped)).state]).toEqual([at, 'failed']);
    }
  });

  it('is forgotten when it is not wanted, and taken in once', async () => {
    const work = await lookedThrough(
      served,
      JSON.stringify({ format: 'which-way', version: 1, jobs: [asFile(newJob(64))], library: [] }),
    );
    const kept = await take(served, work.id);
    expect(kept.state).toBe('done');
    expect((await served.call('POST', `/api/imports/${work.id}/take`)).status).toBe(409);
    const other = await lookedThrough(
      served,
      JSON.stringify({ format: 'which-way', version: 1, jobs: [asFile(newJob(65))], library: [] }),
    );
    await served.call('DELETE', `/api/works/${other.id}`);
    expect((await served.call('GET', `/api/works/${other.id}`)).status).toBe(404);
    expect((await served.call('GET', `/api/jobs/${newJob(65).job.id}`)).status).toBe(404);
  });

  it('is taken in as it was looked through, also when another was looked through meanwhile', async () => {
    const file = (seed: number) =>
      JSON.stringify({ format: 'which-way', version: 1, jobs: [asFile(newJob(seed))], library: [] });
    const first = await lookedThrough(served, file(81));
    const second = await lookedThrough(served, file(82));
    expect((await take(served, first.id)).imported).toMatchObject({ jobsAdded: 1 });
    const there = async (seed: number) =>
      (await served.call('GET', `/api/jobs/${newJob(seed).job.id}`)).status;
    expect([await there(81), await there(82)]).toEqual([200, 404]);
    expect((await take(served, second.id)).imported).toMatchObject({ jobsAdded: 1 });
    expect(await there(82)).toBe(200);
  });

  it('that is large is read in pieces; a reading goes before the next piece, and cancelled, nothing of it is there', async () => {
    const place = await serve();
    const jobs = Array.from({ length: 12 }, (_, seed) => {
      const made = newJob(700 + seed);
      for (let count = 0; count < 400; count += 1) made.addReading();
      return asFile(made);
    });
    const mine = newJob(690);
    await place.call('POST', '/api/jobs', mine.job);
    const work = await lookedThrough(
      place,
      JSON.stringify({ format: 'which-way', version: 1, jobs, library: [] }),
    );
    await place.call('POST', `/api/imports/${work.id}/take`);
    let cancelled = false;
    for (let state = 'running'; state === 'running' || state === 'waiting';) {
      const event = mine.addReading();
      const { status } = await place.call('POST', `/api/jobs/${mine.job.id}/events`, {
        after: 0,
        events: [event],
      });
      expect(status).toBe(200);
      if (!cancelled) await place.call('DELETE', `/api/works/${work.id}`);
      cancelled = true;
      const answer = await place.call('GET', `/api/works/${work.id}`);
      state = answer.status === 200 ? (answer.body as Work).state : 'cancelled';
    }
    const list: JobSummary[] = (await place.call('GET', '/api/jobs')).body;
    const left = new Set(list.map(({ id }) => id));
    expect([1, 13]).toContain(left.size);
    const database = new Database(place.database);
    const hidden = database.prepare('SELECT count(*) AS n FROM job WHERE import IS NOT NULL').all();
    expect(hidden).toMatchObject([{ n: 0 }]);
    database.close();
    await place.close();
  });

  it('of which a killed server had written a part leaves nothing behind at the next start', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'which-way-'));
    const first = await serve(folder);
    const { job, events } = newJob(66);
    await first.call('POST', '/api/jobs', job);
    await first.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
    await first.stop();
    const database = new Database(join(folder, 'which-way.sqlite'));
    database.exec("UPDATE job SET import = 'half'");
    database.exec(`INSERT INTO library_entry (id, kind, name, family, form, terminals, positions, body, import)
      VALUES ('x', 'part', 'half', '', 'toggle', 2, 1, '{"terminals":["1","2"]}', 'half')`);
    database.close();
    const second = await serve(folder);
    expect((await second.call('GET', `/api/jobs/${job.id}`)).status).toBe(404);
    expect(((await second.call('GET', '/api/library')).body as LibraryPage).count).toBe(0);
    await second.close();
  });
});

describe('the library', () => {
  it('gives pages by words and by size, and whole entries only where they are asked for', async () => {
    const place = await serve();
    await place.call('POST', '/api/import', demo('library.json'));
    const entries = demo('library.json').library;
    const page: LibraryPage = (await place.call('GET', '/api/library?size=4')).body;
    expect([page.entries.length, page.count, page.next]).toEqual([4, entries.length, 4]);
    const rest: LibraryPage = (await place.call('GET', `/api/library?size=200&from=${page.next}`)).body;
    const ids = [...page.entries, ...rest.entries].map(({ id }) => id);
    expect(new Set(ids)).toEqual(new Set(entries.map(({ id }) => id)));
    const [first] = entries;
    const words = first?.name.split(' ')[0]?.slice(0, 4) ?? '';
    const found: LibraryPage = (await place.call('GET', `/api/library?search=${encodeURIComponent(words)}`))
      .body;
    expect(found.entries.map(({ id }) => id)).toContain(first?.id);
    for (const { name, family, maker } of found.entries)
      expect(`${name} ${family} ${maker ?? ''}`.toLowerCase().length).toBeGreaterThan(0);
    for (const search of ['"', "' OR 1=1 --", '(*', 'NEAR(', '  '])
      expect((await place.call('GET', `/api/library?search=${encodeURIComponent(search)}`)).status).toBe(200);
    const size = { terminals: first?.terminals.length, positions: first?.positions.length };
    const alike = (
      await place.call('GET', `/api/library/alike?terminals=${size.terminals}&positions=${size.positions}`)
    ).body as ProjectFile['library'];
    expect(alike).toEqual(expect.arrayContaining([first]));
    for (const entry of alike)
      expect([entry.terminals.length, entry.positions.length]).toEqual([size.terminals, size.positions]);
    expect((await place.call('GET', `/api/library/${first?.id}`)).body).toEqual(first);
    await place.close();
  });
});

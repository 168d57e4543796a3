import Database from 'libsql';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Imported, JobWithEvents, LibraryPage, PostedEvents, Work } from '@which-way/contract';
import { createWriter, type JobEvent } from '@which-way/core/log';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newJob, serve, type Served } from '../testing/served.js';
import { lookedThrough, workEnded } from '../testing/works.js';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.close());

const jobFile = ({ job }: ReturnType<typeof newJob>, events: readonly JobEvent[]) => ({
  ...job,
  place: '',
  simulation: null,
  created: '2026-01-05T10:00:00.000Z',
  events,
});
const projectFile = (...jobs: unknown[]) =>
  JSON.stringify({ format: 'which-way', version: 1, jobs, library: [] });
const take = async (work: Work, query = '') => {
  expect((await served.call('POST', `/api/imports/${work.id}/take?${query}`)).status).toBe(202);
  return workEnded(served, work.id);
};

describe('numbers in a file that would leave no room for those after them', () => {
  it.each([
    ['a clock near 2^53', 41, { clock: 2 ** 53 - 1 }, 'clock-too-far'],
    ['a clock of two millions', 42, { clock: 2_000_000 }, 'clock-too-far'],
    ['a sequence near 2^53', 43, { sequence: 2 ** 53 - 1 }, 'sequence-too-far'],
  ])(
    '%s: that event is set aside with its reason, and the job can be gone on with',
    async (_, seed, odd, code) => {
      const made = newJob(seed);
      const reading = made.addReading();
      const last = { ...made.addReading(), ...odd };
      const work = await lookedThrough(
        served,
        projectFile(jobFile(made, [...made.events.slice(0, -1), last])),
      );
      expect(work.preview?.setAside).toEqual([expect.objectContaining({ code })]);
      expect((await take(work)).state).toBe('done');
      const opened = (await served.call('GET', `/api/jobs/${made.job.id}`)).body as JobWithEvents;
      expect(opened.events.map(({ id }) => id)).toContain(reading.id);
      expect(opened.events.map(({ id }) => id)).not.toContain(last.id);
      const writer = createWriter({ newId: made.newId, now: () => '2026-01-05T10:00:00.000Z' });
      const next = writer.write(opened.events, { kind: 'noted', field: 'complaint', text: 'Goes on.' });
      const posted = (
        await served.call('POST', `/api/jobs/${made.job.id}/events`, { after: 0, events: [next] })
      ).body as PostedEvents;
      expect(posted.stored).toEqual([next.id]);
      // The same from a peer is refused event by event.
      const peer = (
        await served.call('POST', `/api/jobs/${made.job.id}/events`, { after: 0, events: [last] })
      ).body as PostedEvents;
      expect(peer.refused.map(({ error }) => error.code)).toEqual([code]);
      await served.call('DELETE', `/api/jobs/${made.job.id}`);
    },
  );

  it('clocks that climb by less than a million each are as they were', async () => {
    const made = newJob(40);
    for (let count = 0; count < 3; count += 1) made.addReading();
    const climbing = made.events.map((event, at) => ({ ...event, clock: 1 + at * 900_000 }));
    const work = await lookedThrough(served, projectFile(jobFile(made, climbing)));
    expect(work.preview).toMatchObject({ events: 4, setAsideCount: 0 });
  });
});

describe('a file that is made to be read slowly', () => {
  const deep = (levels: number) => `${'['.repeat(levels)}${']'.repeat(levels)}`;

  it.each([
    ['in a foreign field of a job', (nest: string) => projectFile({}).replace('{}', `{"foreign": ${nest}}`)],
    ['in a field that nobody knows', (nest: string) => `{"foreign": ${nest}, ${projectFile().slice(1)}`],
    ['in an event', (nest: string) => projectFile({ events: [] }).replace('[]', `[${nest}]`)],
  ])('nested 30,000 deep %s is refused at once', async (_, around) => {
    const work = await lookedThrough(served, around(deep(30_000)));
    expect([work.state, work.error?.code]).toEqual(['failed', 'too-deep']);
  });

  it('with one piece larger than any of ours is refused before it is all read', async () => {
    const work = await lookedThrough(served, projectFile({ foreign: 'x'.repeat(6 << 20) }));
    expect([work.state, work.error?.code]).toEqual(['failed', 'piece-too-large']);
  });
});

describe('a job that was deleted here and comes in a file', () => {
  it('asks: left out unless it is wanted, and then it is a job like any other', async () => {
    const [gone, other] = [newJob(61), newJob(62)];
    await served.call('POST', '/api/jobs', gone.job);
    await served.call('DELETE', `/api/jobs/${gone.job.id}`);
    const file = projectFile(jobFile(gone, gone.events), jobFile(other, other.events));
    const refused = await served.call('POST', '/api/import', file);
    expect(refused).toMatchObject({ status: 409, body: { code: 'deleted-before' } });
    const first = await lookedThrough(served, file);
    expect(first.preview?.deleted).toEqual([expect.objectContaining({ title: gone.job.title })]);
    expect((await take(first)).imported).toMatchObject({ jobsAdded: 1 });
    expect((await served.call('GET', `/api/jobs/${gone.job.id}`)).status).toBe(410);
    const second = await lookedThrough(served, file);
    expect((await take(second, 'again=true')).imported).toMatchObject({ jobsAdded: 1 });
    const opened = (await served.call('GET', `/api/jobs/${gone.job.id}`)).body as JobWithEvents;
    expect(opened.events).toHaveLength(1);
    expect(
      ((await served.call('POST', '/api/jobs/gone', { ids: [gone.job.id] })).body as { gone: string[] }).gone,
    ).toEqual([]);
    // Its log is append-only again.
    const database = new Database(served.database);
    expect(() => database.exec(`DELETE FROM job_event WHERE job_id = '${gone.job.id}'`)).toThrow(
      /append-only/,
    );
    database.close();
  });
});

describe('an import that was decided', () => {
  it('is finished by the next start, whatever of it was shown by then', async () => {
    const place = mkdtempSync(join(tmpdir(), 'which-way-'));
    const first = await serve(place);
    const [there, fresh] = [newJob(71), newJob(72)];
    for (const { job, events } of [there, fresh]) {
      await first.call('POST', '/api/jobs', job);
      await first.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
    }
    await first.stop();
    const late = there.addReading();
    const database = new Database(join(place, 'which-way.sqlite'));
    database.exec("INSERT INTO import_decided VALUES ('half')");
    database.prepare("UPDATE job SET import = 'half' WHERE id = ?").run(fresh.job.id);
    database
      .prepare("INSERT INTO staged_event (import, place, job_id, event) VALUES ('half', 1, ?, ?)")
      .run(there.job.id, JSON.stringify(late));
    database.exec(`INSERT INTO library_entry (id, kind, name, family, form, terminals, positions, body, import)
      VALUES ('x', 'part', 'half', '', 'toggle', 2, 1, '{"terminals":["1","2"]}', 'half')`);
    database.close();
    const second = await serve(place);
    expect((await second.call('GET', `/api/jobs/${fresh.job.id}`)).status).toBe(200);
    const joined = (await second.call('GET', `/api/jobs/${there.job.id}`)).body as JobWithEvents;
    expect(joined.events.map(({ id }) => id)).toEqual(there.events.map(({ id }) => id));
    expect(((await second.call('GET', '/api/library')).body as LibraryPage).count).toBe(1);
    const left = new Database(second.database);
    for (const table of ['import_decided', 'staged_event'])
      expect(left.prepare(`SELECT count(*) AS n FROM ${table}`).all()).toMatchObject([{ n: 0 }]);
    left.close();
    await second.close();
  });

  it('says how many events clashed with what came in meanwhile', async () => {
    const made = newJob(81);
    await served.call('POST', '/api/jobs', made.job);
    const mine = made.addReading();
    const work = await lookedThrough(served, projectFile(jobFile(made, made.events)));
    const other = { ...mine, id: made.newId() } as JobEvent;
    await served.call('POST', `/api/jobs/${made.job.id}/events`, { after: 0, events: [other] });
    const imported = (await take(work)).imported as Imported;
    expect(imported).toMatchObject({ jobsMerged: 1, eventsAdded: 1, eventsLeft: 1 });
  });
});

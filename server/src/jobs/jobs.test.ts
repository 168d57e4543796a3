import type { ApiError, Job, JobSummary, JobWithEvents, PostedEvents } from '@which-way/contract';
import { createWriter, newTerminal, type Deed } from '@which-way/core/switch';
import Database from 'libsql';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newJob, serve, type Served } from '../testing/served.js';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.close());

const made = async (seed: number) => {
  const fresh = newJob(seed);
  expect((await served.call('POST', '/api/jobs', fresh.job)).status).toBe(201);
  const post = async (events = fresh.events, after = 0): Promise<PostedEvents> =>
    (await served.call('POST', `/api/jobs/${fresh.job.id}/events`, { after, events })).body;
  return { ...fresh, post };
};

describe('jobs', () => {
  it('are numbered, found by words, and made once however often they are sent', async () => {
    const { job } = await made(1);
    const again: Job = (await served.call('POST', '/api/jobs', job)).body;
    expect(again.number).toBe(1);
    await made(2);
    const all: JobSummary[] = (await served.call('GET', '/api/jobs?search=job')).body;
    expect(all.map(({ number }) => number)).toEqual([2, 1]);
    const one: JobSummary[] = (await served.call('GET', '/api/jobs?search=seed%201')).body;
    expect(one.map(({ id }) => id)).toEqual([job.id]);
  });

  it('are found by what was noted of them and by their markings', async () => {
    const { job, add, events, newId } = newJob(71);
    add({ kind: 'noted', field: 'complaint', text: 'Hums like a wasp' });
    add({
      kind: 'transcribed',
      marking: {
        id: newId(),
        runs: [
          { text: '16(4)A', sure: 'certain' },
          { text: ' 250V~', sure: 'guess' },
        ],
        box: null,
      },
    });
    await served.call('POST', '/api/jobs', job);
    await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
    for (const search of ['wasp', '16(4)a', 'hums 250v']) {
      const { body }: { body: { id: string }[] } = await served.call(
        'GET',
        `/api/jobs?search=${encodeURIComponent(search)}`,
      );
      expect(body.map(({ id }) => id)).toEqual([job.id]);
    }
    expect((await served.call('GET', '/api/jobs?search=wasp%20nest')).body).toEqual([]);
  });

  it('refuse a change made on an older version', async () => {
    const { job } = await made(3);
    const change = { version: 1, outOfMachine: false };
    expect((await served.call('PATCH', `/api/jobs/${job.id}`, change)).body).toMatchObject({
      outOfMachine: false,
      version: 2,
    });
    const stale = await served.call('PATCH', `/api/jobs/${job.id}`, change);
    expect(stale).toMatchObject({ status: 409, body: { code: 'stale-job', path: 'version' } });
  });

  it('show where they are on their route, worked out from the log', async () => {
    const { job, add, addReading, post } = await made(4);
    addReading();
    add({ kind: 'withdrawn', target: addReading().id, basedOn: null });
    await post();
    const [summary]: JobSummary[] = (await served.call('GET', '/api/jobs?search=seed%204'))
      .body as JobSummary[];
    expect(summary).toMatchObject({ id: job.id, route: { at: 'map', next: { code: 'touches-left' } } });
  });
});

describe('the log', () => {
  it('stores an event sent twice once, and gives back what the sender had not seen', async () => {
    const { post, addReading, events, job } = await made(10);
    const first = await post();
    expect(first.events).toHaveLength(1);
    addReading();
    const second = await post(events, first.cursor);
    expect(second.stored).toEqual(events.map(({ id }) => id));
    expect(second.events.map(({ id }) => id)).toEqual([events[1]?.id]);
    const opened: JobWithEvents = (await served.call('GET', `/api/jobs/${job.id}`)).body;
    expect(opened.events).toEqual(events);
  });

  it('refuses other contents under a stored id, and a sequence number used twice', async () => {
    const { post, addReading, events, newId } = await made(11);
    const event = addReading();
    await post();
    const { refused } = await post([{ ...event, at: '2026-01-06T10:00:00.000Z' }]);
    expect(refused[0]?.error.code).toBe('event-differs');
    const twice = await post([{ ...event, id: newId() }]);
    expect(twice.refused[0]?.error.code).toBe('sequence-taken');
    expect((await post([])).events).toEqual(events);
  });

  it('never refuses an answer for being late, but refuses a structure change made on an older structure', async () => {
    const { post, add, addReading, events, newId } = await made(12);
    const lug = (label: string, basedOn: number): Deed => ({
      kind: 'restructured',
      change: { change: 'terminal-added', terminal: newTerminal(label, newId) },
      basedOn,
    });
    const described = events.slice();
    const here = add(lug('4', 1));
    await post();
    const otherTab = createWriter({ newId, now: () => '2026-01-05T10:00:09.000Z' });
    const stale = otherTab.write(described, lug('5', 1));
    const answer = otherTab.write(described, addReading().what);
    const posted = await post([stale, answer]);
    expect(posted.stored).toEqual([answer.id]);
    expect(posted.refused).toMatchObject([{ id: stale.id, error: { code: 'stale-structure' } }]);
    const undo = otherTab.write(described, { kind: 'withdrawn', target: here.id, basedOn: 1 });
    expect((await post([undo])).refused[0]?.error.code).toBe('stale-structure');
    const again = otherTab.write(described, lug('4', 2));
    expect((await post([again])).refused[0]?.error.code).toBe('label-taken');
  });

  it('cannot be rewritten, not even in the database', async () => {
    const { post } = await made(13);
    await post();
    const database = new Database(served.database);
    expect(() => database.exec("UPDATE job_event SET what = '{}'")).toThrow(/append-only/);
    expect(() => database.exec('DELETE FROM job_event')).toThrow(/append-only/);
    database.close();
  });

  it('keeps every event of many sent at once', async () => {
    const { post, addReading, events } = await made(14);
    for (let count = 0; count < 30; count += 1) addReading();
    await Promise.all(events.map((event) => post([event])));
    expect(new Set((await post([])).events.map(({ id }) => id))).toEqual(new Set(events.map(({ id }) => id)));
  });
});

describe('bad input', () => {
  const refusal = async (method: string, path: string, body?: unknown, headers?: Record<string, string>) => {
    const answer = await served.call(method, path, body, headers);
    const error: ApiError = answer.body;
    for (const part of ['code', 'message', 'hint'] as const) expect(error[part].length).toBeGreaterThan(0);
    expect(typeof error.path).toBe('string');
    return [answer.status, error.code, error.path];
  };

  it('gets one shape of answer that says what, where, and what would be right', async () => {
    const { job } = await made(20);
    expect(await refusal('POST', '/api/jobs', { ...job, colour: 'red' })).toEqual([
      400,
      'unknown-field',
      'colour',
    ]);
    expect(await refusal('POST', '/api/jobs', { ...job, title: 7 })).toMatchObject([
      400,
      expect.any(String),
      'title',
    ]);
    expect(await refusal('POST', '/api/jobs', '{"id":')).toEqual([400, 'bad-json', '']);
    expect(await refusal('GET', '/api/jobs/nonsense')).toMatchObject([400, 'refused', '']);
    expect(await refusal('GET', '/api/jobs/00000000-0000-4000-8000-000000000000')).toEqual([
      404,
      'not-found',
      '',
    ]);
    expect(await refusal('GET', '/api/nothing')).toEqual([404, 'not-found', '']);
    expect(await refusal('POST', '/api/jobs', { ...job, title: 'x'.repeat(1_200_000) })).toEqual([
      413,
      'too-large',
      '',
    ]);
  });

  it('in one event refuses the whole batch and stores none of it', async () => {
    const { job, events, addReading } = await made(21);
    const broken = structuredClone(addReading());
    Object.assign(broken.what, { act: 'guess' });
    const path = `/api/jobs/${job.id}/events`;
    const answer = await served.call('POST', path, { after: 0, events: [events[0], broken] });
    expect(answer).toMatchObject({ status: 400, body: { path: 'events.1.what' } });
    expect((answer.body as ApiError).message).toContain('act');
    const opened: JobWithEvents = (await served.call('GET', `/api/jobs/${job.id}`)).body;
    expect(opened.events).toEqual([]);
  });

  it('from another host or origin is turned away, even on loopback', async () => {
    expect(await refusal('GET', '/api/jobs', undefined, { origin: 'http://evil.example' })).toEqual([
      403,
      'wrong-origin',
      '',
    ]);
    const own = await served.call('GET', '/api/jobs', undefined, { origin: served.base });
    expect(own.status).toBe(200);
    const { request } = await import('node:http');
    const status = await new Promise((resolve) =>
      request(`${served.base}/api/jobs`, { headers: { host: 'evil.example' } }, ({ statusCode }) =>
        resolve(statusCode),
      ).end(),
    );
    expect(status).toBe(403);
  });
});

describe('the description of the API', () => {
  it('lists every address', async () => {
    const description: { paths: object } = (await served.call('GET', '/api/docs-json')).body;
    expect(Object.keys(description.paths).sort()).toEqual([
      '/api/export',
      '/api/health',
      '/api/import',
      '/api/jobs',
      '/api/jobs/{id}',
      '/api/jobs/{id}/events',
      '/api/jobs/{id}/export',
      '/api/library',
      '/api/library/{id}',
      '/api/photos/{id}',
      '/api/shop',
    ]);
  });
});

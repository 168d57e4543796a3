import type { ApiError, PostedEvents } from '@which-way/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { madeOn, newJob, serve, type Served } from '../testing/served.js';

let served: Served;
beforeAll(async () => {
  served = await serve();
});
afterAll(() => served.close());

const made = (seed: number) => madeOn(served, seed);

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
    expect(await refusal('GET', '/api/jobs/nonsense')).toMatchObject([400, 'schema-pattern', 'id']);
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

  it('in one event spoils that event alone: the others of its batch are stored, and it is told what is wrong where', async () => {
    const { job, events, addReading } = await made(21);
    const broken = structuredClone(addReading());
    Object.assign(broken.what, { act: 'guess' });
    const newer = { ...structuredClone(addReading()), schema: 7 };
    const sound = addReading();
    const path = `/api/jobs/${job.id}/events`;
    const { status, body } = await served.call('POST', path, {
      after: 0,
      events: [events[0], broken, newer, 7, sound],
    });
    const posted: PostedEvents = body;
    expect(status).toBe(200);
    expect(posted.stored).toEqual([events[0]?.id, sound.id]);
    expect(posted.refused.map(({ id, error }) => [id, error.code, error.path])).toEqual([
      [broken.id, 'schema-enum', 'what.act'],
      [newer.id, 'event-too-new', 'schema'],
      ['', 'schema-type', ''],
    ]);
    for (const { error } of posted.refused) expect(error.hint.length).toBeGreaterThan(10);
  });

  it('such as a clock far beyond all others is refused at the door, since nothing could come after it', async () => {
    const { post, addReading } = await made(22);
    await post();
    const far = { ...addReading(), clock: Number.MAX_SAFE_INTEGER - 1 };
    expect((await post([far])).refused.map(({ error }) => error.code)).toEqual(['clock-too-far']);
    expect((await post([{ ...far, clock: 900_000 }])).stored).toEqual([far.id]);
  });

  it('as null, a blank, or nothing at all is refused, and nested 20,000 deep too', async () => {
    const { job } = await made(23);
    const path = `/api/jobs/${job.id}`;
    expect(await refusal('PATCH', path, { version: 1, title: null })).toMatchObject([
      400,
      expect.any(String),
      'title',
    ]);
    expect(await refusal('PATCH', path, { version: 1, outOfMachine: null })).toMatchObject([
      400,
      expect.any(String),
      'outOfMachine',
    ]);
    expect(await refusal('PATCH', path, 'null')).toMatchObject([400, 'bad-json', '']);
    expect(await refusal('PATCH', path, { version: 1, title: '   ' })).toMatchObject([
      400,
      expect.any(String),
      'title',
    ]);
    const deep = `{"after":0,"events":[${'['.repeat(20_000)}${']'.repeat(20_000)}]}`;
    expect(await refusal('POST', `${path}/events`, deep)).toEqual([400, 'too-deep', '']);
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

describe('a title', () => {
  it.each(['\u0000', '\u200b', ' \u0007 ', 'two\nlines', 'tab\tin it', '\u202e'])(
    '%j is refused, in a job and in a file',
    async (title) => {
      const { job, events } = newJob(77);
      const made = await served.call('POST', '/api/jobs', { ...job, title });
      expect(made).toMatchObject({ status: 400, body: { path: 'title' } });
      const file = {
        ...job,
        title,
        place: '',
        simulation: null,
        created: '2026-01-05T10:00:00.000Z',
        events,
      };
      const taken = await served.call('POST', '/api/import', {
        format: 'which-way',
        version: 1,
        jobs: [file],
        library: [],
      });
      expect(taken.status).toBe(422);
    },
  );
});

describe('the description of the API', () => {
  it('lists every address', async () => {
    const description: { paths: object } = (await served.call('GET', '/api/docs-json')).body;
    expect(Object.keys(description.paths).sort()).toEqual([
      '/api/backup',
      '/api/export',
      '/api/health',
      '/api/health/missing',
      '/api/import',
      '/api/imports',
      '/api/imports/{id}/take',
      '/api/jobs',
      '/api/jobs/gone',
      '/api/jobs/{id}',
      '/api/jobs/{id}/events',
      '/api/jobs/{id}/export',
      '/api/jobs/{id}/share',
      '/api/library',
      '/api/library/alike',
      '/api/library/match',
      '/api/library/{id}',
      '/api/meter',
      '/api/meter/claim',
      '/api/meter/leads',
      '/api/photos/{id}',
      '/api/restore',
      '/api/sessions',
      '/api/sessions/{id}',
      '/api/shop',
      '/api/stream',
      '/api/works',
      '/api/works/{id}',
      '/api/works/{id}/file',
      '/shared/{token}',
      '/shared/{token}/photos/{id}',
    ]);
  });
});

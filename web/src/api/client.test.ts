import { afterEach, describe, expect, it, vi } from 'vitest';
import type { JobId } from '@which-way/core/switch';
import { plainJob } from '../testing/stand-in.js';
import { api, isPassing, NoServerError, RefusedError } from './client.js';

const answered = (body: string, status = 200): void =>
  void vi.stubGlobal('fetch', async () => new Response(body, { status }));
const refusal = async (asked: Promise<unknown>): Promise<RefusedError> => {
  const error = await asked.catch((thrown: unknown) => thrown);
  if (!(error instanceof RefusedError)) throw new Error(`not refused, but: ${String(error)}`);
  return error;
};
const JOB = plainJob('j' as JobId);
const LISTED = { ...JOB, route: null, settingName: null, trouble: null, stale: false };

afterEach(() => vi.unstubAllGlobals());

describe('what the server answers', () => {
  it('is handed on when it has the shape that was asked for', async () => {
    const answer = { job: JOB, events: [], unreadable: [], cursor: 0, later: 'of a newer server' };
    answered(JSON.stringify(answer));
    expect(await api.openJob('j' as JobId)).toEqual(answer);
  });

  it('is refused with the first field that cannot be read, however deep it lies', async () => {
    answered(JSON.stringify({ job: JOB, unreadable: [], cursor: 0 }));
    expect((await refusal(api.openJob('j' as JobId))).error.path).toBe('events');
    answered(JSON.stringify({ job: { ...JOB, version: '1' }, events: [], unreadable: [], cursor: 0 }));
    expect((await refusal(api.openJob('j' as JobId))).error.path).toBe('job.version');
    answered(JSON.stringify([LISTED, { ...LISTED, title: null }]));
    expect((await refusal(api.jobs(''))).error.path).toBe('1.title');
    answered('[]');
    expect((await refusal(api.shop())).error.path).toBe('the whole');
  });

  it('is refused for now when something else answers, so that what waits is sent again', async () => {
    answered('<p>Sign in to the network</p>');
    const page = await refusal(api.health());
    expect(page.error.message).toContain('/api/health');
    expect(isPassing(page)).toBe(true);
    answered('<p>Bad gateway</p>', 502);
    expect(isPassing(await refusal(api.health()))).toBe(true);
  });

  it('is a refusal in the server’s words when it says no', async () => {
    const error = { code: 'job-gone', message: 'Gone.', path: '', hint: 'Start another.' };
    answered(JSON.stringify(error), 410);
    const refused = await refusal(api.openJob('j' as JobId));
    expect([refused.status, refused.error, isPassing(refused)]).toEqual([410, error, false]);
  });

  it('is none when nobody answers', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no connection')));
    await expect(api.health()).rejects.toBeInstanceOf(NoServerError);
  });
});

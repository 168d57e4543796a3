import type { JobShare, ShareAnswer } from '@which-way/contract';
import type { PhotoId } from '@which-way/core/switch';
import sharp from 'sharp';
import { afterAll, beforeAll, expect, it, vi } from 'vitest';
import { requestFromElsewhere } from '../testing/from-elsewhere.js';
import { newJob, serve, type Served } from '../testing/served.js';

let served: Served;
beforeAll(async () => {
  served = await serve(undefined, true);
});
afterAll(() => served.close());

const elsewhere = (method: string, path: string) =>
  requestFromElsewhere(served.base, method, path, { accept: '*/*' });
const made = async (id: string): Promise<JobShare> =>
  ((await served.call('POST', `/api/jobs/${id}/share`)).body as ShareAnswer).share as JobShare;

/** A job on the bench with a link to it. */
async function linked(seed: number): Promise<{ id: string; token: string }> {
  const { job, events, add } = newJob(seed);
  add({ kind: 'noted', field: 'complaint', text: 'It hums <b>& stops</b>.' });
  await served.call('POST', '/api/jobs', job);
  await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
  return { id: job.id, token: (await made(job.id)).token };
}

it('opens the report of its one job as a page, without the shop’s code, and nothing else', async () => {
  const { id, token } = await linked(701);
  const read = await elsewhere('GET', `/shared/${token}`);
  expect([read.status, read.headers['content-type']]).toEqual([200, expect.stringContaining('text/html')]);
  expect(read.text).toContain('Job of seed 701');
  expect(read.text).toContain('It hums &lt;b&gt;&amp; stops&lt;/b&gt;.');
  expect(read.text).toContain('<svg');
  // Both weights of the product's typeface are in it: nothing is fetched for them (`wOFF` in base64, WOFF 1.0, section 3).
  expect(read.text.match(/url\("data:font\/woff;base64,d09GR/g)).toHaveLength(2);
  for (const [method, path] of [
    ['GET', `/api/shared/${token}`],
    ['POST', `/shared/${token}`],
    ['POST', `/api/jobs/${id}/events`],
    ['GET', `/api/jobs/${id}`],
    ['GET', `/api/jobs/${id}/share`],
    ['DELETE', `/api/jobs/${id}/share`],
    ['GET', '/api/jobs'],
    ['GET', '/api/sessions'],
  ] as const)
    expect([path, (await elsewhere(method, path)).status]).toEqual([path, 401]);
  expect((await elsewhere('GET', `/shared/${token}/../../api/jobs`)).status).toBe(303);
});

it('lets nothing of the log out: no id of an event, a device, a terminal or a setting', async () => {
  const { id, token } = await linked(705);
  const log = JSON.stringify((await served.call('GET', `/api/jobs/${id}`)).body);
  const ids = [...new Set(log.match(/[0-9a-f]{8}-[0-9a-f-]{27}/g))];
  const { text } = await elsewhere('GET', `/shared/${token}`);
  expect(ids.length).toBeGreaterThan(5);
  expect(ids.filter((one) => text.includes(one))).toEqual([]);
});

it('follows what is done: the next page has what came in since', async () => {
  const { job, events, add } = newJob(706);
  await served.call('POST', '/api/jobs', job);
  await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
  const { token } = await made(job.id);
  expect((await elsewhere('GET', `/shared/${token}`)).text).not.toContain('A later word');
  const later = add({ kind: 'noted', field: 'complaint', text: 'A later word' });
  await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events: [later] });
  expect((await elsewhere('GET', `/shared/${token}`)).text).toContain('A later word');
});

it('is ended by a tap, by another one, by its thirty days, and with its job', async () => {
  const { id, token } = await linked(702);
  const second = (await made(id)).token;
  const status = async (of: string) => (await elsewhere('GET', `/shared/${of}`)).status;
  expect([await status(token), await status(second)]).toEqual([404, 200]);
  const late = Date.now() + 31 * 86_400_000;
  const clock = vi.spyOn(Date, 'now').mockReturnValue(late);
  expect(await status(second)).toBe(404);
  clock.mockRestore();
  expect(await status(second)).toBe(200);
  const ended = (await served.call('DELETE', `/api/jobs/${id}/share`)) as { body: ShareAnswer };
  expect(ended.body.share).toBeNull();
  expect(await status(second)).toBe(404);
  const third = (await made(id)).token;
  await served.call('DELETE', `/api/jobs/${id}`);
  expect(await status(third)).toBe(404);
});

it('made many times at once is one link, and ending it ends all', async () => {
  const { id } = await linked(707);
  const tokens = (await Promise.all(Array.from({ length: 6 }, () => made(id)))).map(({ token }) => token);
  const open = async () =>
    (await Promise.all(tokens.map((token) => elsewhere('GET', `/shared/${token}`)))).filter(
      ({ status }) => status === 200,
    ).length;
  expect(new Set(tokens).size).toBe(6);
  expect(await open()).toBe(1);
  await served.call('DELETE', `/api/jobs/${id}/share`);
  expect(await open()).toBe(0);
});

it('is none for what was never given out, for a job that is not there, and for several switches together', async () => {
  for (const token of ['x', 'a'.repeat(32), `${'a'.repeat(31)}%27`]) {
    const answer = await elsewhere('GET', `/shared/${token}`);
    expect([303, 404]).toContain(answer.status);
  }
  const { job } = newJob(703);
  expect(await served.call('POST', `/api/jobs/${job.id}/share`)).toMatchObject({ status: 404 });
  await served.call('POST', '/api/jobs', { ...job, about: 'system' });
  expect(await served.call('POST', `/api/jobs/${job.id}/share`)).toMatchObject({
    status: 409,
    body: { code: 'no-report' },
  });
});

it('shows the photos that the report has, and no other', async () => {
  const { job, events, add, newId } = newJob(704);
  const [shown, out, strange] = [newId<PhotoId>(), newId<PhotoId>(), newId<PhotoId>()];
  const jpeg = await sharp({ create: { width: 8, height: 6, channels: 3, background: '#468' } })
    .jpeg()
    .toBuffer();
  for (const id of [shown, out, strange])
    await fetch(`${served.base}/api/photos/${id}`, { method: 'PUT', body: Uint8Array.from(jpeg) });
  for (const id of [shown, out])
    add({
      kind: 'photo-taken',
      photo: { id, purpose: 'other', caption: 'As it was', width: 8, height: 6, removed: false },
    });
  add({ kind: 'report-shaped', leftOut: [], photosOut: [out] });
  await served.call('POST', '/api/jobs', job);
  await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
  const { token } = await made(job.id);
  const status = async (id: string) => (await elsewhere('GET', `/shared/${token}/photos/${id}`)).status;
  expect([await status(shown), await status(out), await status(strange)]).toEqual([200, 404, 404]);
  const { text } = await elsewhere('GET', `/shared/${token}`);
  expect([text.includes(`/shared/${token}/photos/${shown}`), text.includes(out)]).toEqual([true, false]);
  expect((await elsewhere('GET', `/api/photos/${shown}`)).status).toBe(401);
  await served.call('DELETE', `/api/jobs/${job.id}/share`);
  expect(await status(shown)).toBe(404);
});

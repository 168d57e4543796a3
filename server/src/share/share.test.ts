import type { JobWithEvents, ShareAnswer } from '@which-way/contract';
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

/** A job on the bench with a link to it. */
async function linked(seed: number): Promise<{ id: string; token: string }> {
  const { job, events } = newJob(seed);
  await served.call('POST', '/api/jobs', job);
  await served.call('POST', `/api/jobs/${job.id}/events`, { after: 0, events });
  const { body } = (await served.call('POST', `/api/jobs/${job.id}/share`)) as { body: ShareAnswer };
  return { id: job.id, token: body.share?.token ?? '' };
}

it('opens its one job to be read, without the shop’s code, and nothing else', async () => {
  const { id, token } = await linked(701);
  const read = await elsewhere('GET', `/api/shared/${token}`);
  expect(read.status).toBe(200);
  const { job, events } = JSON.parse(read.text) as JobWithEvents;
  expect([job.id, events.length]).toEqual([id, 1]);
  for (const [method, path] of [
    ['POST', `/api/shared/${token}`],
    ['POST', `/api/jobs/${id}/events`],
    ['GET', `/api/jobs/${id}`],
    ['GET', `/api/jobs/${id}/share`],
    ['DELETE', `/api/jobs/${id}/share`],
    ['GET', '/api/jobs'],
    ['GET', `/api/shared/${token}/../jobs`],
  ] as const)
    expect([path, (await elsewhere(method, path)).status]).toEqual([path, 401]);
});

it('is ended by a tap, by another one, and by its thirty days', async () => {
  const { id, token } = await linked(702);
  const second =
    ((await served.call('POST', `/api/jobs/${id}/share`)) as { body: ShareAnswer }).body.share?.token ?? '';
  const status = async (of: string) => (await elsewhere('GET', `/api/shared/${of}`)).status;
  expect([await status(token), await status(second)]).toEqual([404, 200]);
  const late = Date.now() + 31 * 86_400_000;
  const clock = vi.spyOn(Date, 'now').mockReturnValue(late);
  expect(await status(second)).toBe(404);
  clock.mockRestore();
  expect(await status(second)).toBe(200);
  const ended = (await served.call('DELETE', `/api/jobs/${id}/share`)) as { body: ShareAnswer };
  expect(ended.body.share).toBeNull();
  expect(await status(second)).toBe(404);
});

it('is none for what was never given out, and for a job that is not there', async () => {
  for (const token of ['x', 'a'.repeat(32), `${'a'.repeat(31)}%27`]) {
    const answer = await elsewhere('GET', `/api/shared/${token}`);
    expect([401, 404]).toContain(answer.status);
  }
  const { job } = newJob(703);
  expect(await served.call('POST', `/api/jobs/${job.id}/share`)).toMatchObject({ status: 404 });
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
  const { body } = (await served.call('POST', `/api/jobs/${job.id}/share`)) as { body: ShareAnswer };
  const token = body.share?.token ?? '';
  const status = async (id: string) => (await elsewhere('GET', `/api/shared/${token}/photos/${id}`)).status;
  expect([await status(shown), await status(out), await status(strange)]).toEqual([200, 404, 404]);
  expect((await elsewhere('GET', `/api/photos/${shown}`)).status).toBe(401);
  await served.call('DELETE', `/api/jobs/${job.id}/share`);
  expect(await status(shown)).toBe(404);
});

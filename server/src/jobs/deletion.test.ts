import { existsSync, mkdtempSync, readdirSync, readFileSync, utimesSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { PostedEvents, Work } from '@which-way/contract';
import type { PhotoId } from '@which-way/core/switch';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { madeOn, serve, type Served } from '../testing/served.js';
import { workEnded } from '../testing/works.js';
import { Tidying } from './tidying.js';

let place: string;
let served: Served;
let picture: Uint8Array<ArrayBuffer>;
beforeAll(async () => {
  place = mkdtempSync(join(tmpdir(), 'which-way-deleted-'));
  served = await serve(place);
  picture = new Uint8Array(
    await sharp({ create: { width: 8, height: 6, channels: 3, background: '#468' } })
      .jpeg()
      .toBuffer(),
  );
});
afterAll(() => served.close());

const upload = (id: PhotoId) =>
  fetch(`${served.base}/api/photos/${id}`, { method: 'PUT', body: picture }).then(({ status }) => status);
const photoStatus = async (id: PhotoId) => (await fetch(`${served.base}/api/photos/${id}`)).status;
const taken = (id: PhotoId) =>
  ({
    kind: 'photo-taken',
    photo: { id, purpose: 'other', caption: '', width: 8, height: 6, removed: false },
  }) as const;
/** Files of the data folder that have these bytes in them. */
const filesWith = (text: string): string[] =>
  readdirSync(place).filter(
    (name) => name !== 'works' && name !== 'photos' && readFileSync(join(place, name)).includes(text),
  );

describe('a deleted job', () => {
  it('is gone: no word of it in any file of the data folder, nor in a backup, and no pixel that it alone had', async () => {
    const words = 'Quenby wharf kettle';
    const made = await madeOn(served, 91);
    const other = await madeOn(served, 92);
    const [own, shared] = [made.newId<PhotoId>(), made.newId<PhotoId>()];
    for (const id of [own, shared]) expect(await upload(id)).toBe(200);
    for (const id of [own, shared]) made.add(taken(id));
    made.add({ kind: 'noted', field: 'complaint', text: words });
    await served.call('PATCH', `/api/jobs/${made.job.id}`, { version: 1, title: `Title ${words}` });
    other.add(taken(shared));
    await made.post();
    await other.post();
    expect(filesWith(words)).not.toEqual([]);
    expect((await served.call('DELETE', `/api/jobs/${made.job.id}`)).status).toBe(200);
    // The log is emptied as soon as nobody reads from it.
    await vi.waitFor(() => expect(filesWith(words)).toEqual([]), { timeout: 120_000, interval: 25 });
    expect([await photoStatus(own), await photoStatus(shared)]).toEqual([404, 200]);
    const backup = (await served.call('POST', '/api/backup')).body as Work;
    await workEnded(served, backup.id);
    const zip = await (await fetch(`${served.base}/api/works/${backup.id}/file`)).arrayBuffer();
    const files = unzipSync(new Uint8Array(zip));
    expect(Object.keys(files)).not.toContain(`photos/${own}.jpg`);
    expect(Buffer.from(files['which-way.sqlite'] ?? []).includes(words)).toBe(false);
  });

  it('is told to browsers that still have a copy, which drop what they keep of its photos', async () => {
    const [gone, here] = [await madeOn(served, 93), await madeOn(served, 94)];
    await served.call('DELETE', `/api/jobs/${gone.job.id}`);
    const ask = (ids: string[]) =>
      fetch(`${served.base}/api/jobs/gone`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ids }),
      });
    const answer = await ask([gone.job.id, here.job.id, '00000000-0000-4000-8000-000000000000']);
    expect(await answer.json()).toEqual({ gone: [gone.job.id] });
    expect(answer.headers.get('clear-site-data')).toBe('"cache"');
    expect((await ask([here.job.id])).headers.get('clear-site-data')).toBeNull();
    expect((await ask(['x'.repeat(40)])).status).toBe(400);
  });
});

describe('pixels that no event names', () => {
  const age = (id: PhotoId, days: number) => {
    const when = new Date(Date.now() - days * 86_400_000);
    for (const name of [`${id}.jpg`, `${id}.thumb.jpg`]) utimesSync(join(place, 'photos', name), when, when);
  };
  const sweep = () => served.app.get(Tidying).sweep(new Date());

  it('go after thirty days; a withdrawn photo stays, since it can be redone', async () => {
    const made = await madeOn(served, 95);
    const [unnamed, young, withdrawn] = [made.newId<PhotoId>(), made.newId<PhotoId>(), made.newId<PhotoId>()];
    for (const id of [unnamed, young, withdrawn]) await upload(id);
    const event = made.add(taken(withdrawn));
    made.add({ kind: 'withdrawn', target: event.id, basedOn: made.events[0]?.id ?? null });
    await made.post();
    age(unnamed, 31);
    age(withdrawn, 400);
    age(young, 29);
    expect(await sweep()).toBe(1);
    expect([await photoStatus(unnamed), await photoStatus(young), await photoStatus(withdrawn)]).toEqual([
      404, 200, 200,
    ]);
    expect(existsSync(join(place, 'photos', `${unnamed}.thumb.jpg`))).toBe(false);
  });

  it('that are sent once more count as new, and are asked for when their event comes after they went', async () => {
    const made = await madeOn(served, 96);
    const [again, late] = [made.newId<PhotoId>(), made.newId<PhotoId>()];
    for (const id of [again, late]) {
      await upload(id);
      age(id, 40);
    }
    expect(await upload(again)).toBe(200);
    await sweep();
    expect([await photoStatus(again), await photoStatus(late)]).toEqual([200, 404]);
    const events = [made.add(taken(again)), made.add(taken(late))];
    const posted: PostedEvents = await made.post([made.events[0] as never, ...events]);
    expect([posted.stored.length, posted.photosWanted]).toEqual([3, [late]]);
    expect(await upload(late)).toBe(200);
    expect((await made.post()).photosWanted).toEqual([]);
  });
});

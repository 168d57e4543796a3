import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp, { type Sharp } from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ApiError, StoredPhoto } from '@which-way/contract';
import { newIdFrom, seededRandom, type PhotoId } from '@which-way/core/switch';
import { serve, type Served } from '../testing/served.js';

const newId = newIdFrom(seededRandom(31));
let folder: string;
let served: Served;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'which-way-photos-'));
  served = await serve(folder);
});
afterAll(async () => {
  await served.close();
  rmSync(folder, { recursive: true, force: true });
});

/** A picture 60 wide and 40 high: left half red, right half blue. */
const halves = () =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: '#0000ff' } }).composite([
    { input: { create: { width: 30, height: 40, channels: 3, background: '#ff0000' } }, left: 0, top: 0 },
  ]);
const put = async (id: PhotoId, body: Buffer<ArrayBuffer>) => {
  const response = await fetch(`${served.base}/api/photos/${id}`, {
    method: 'PUT',
    headers: { 'content-type': 'image/jpeg' },
    body,
  });
  return { status: response.status, body: (await response.json()) as StoredPhoto & ApiError };
};
const get = async (id: PhotoId, query = '') => {
  const response = await fetch(`${served.base}/api/photos/${id}${query}`);
  return {
    status: response.status,
    bytes: Buffer.from(await response.arrayBuffer()),
    headers: response.headers,
  };
};
const bytesOf = async (picture: Sharp) => Buffer.from(await picture.jpeg().toBuffer());

describe('photos', () => {
  it('survive a restart, in both sizes', async () => {
    const id = newId<PhotoId>();
    const large = await bytesOf(halves().resize(1200, 800));
    expect(await put(id, large)).toEqual({ status: 200, body: { id, width: 1200, height: 800 } });
    const before = await get(id);
    await served.stop();
    served = await serve(folder);
    const after = await get(id);
    expect(after.status).toBe(200);
    expect(after.bytes.equals(before.bytes)).toBe(true);
    expect(after.headers.get('content-type')).toBe('image/jpeg');
    expect(await sharp((await get(id, '?size=thumb')).bytes).metadata()).toMatchObject({
      width: 480,
      height: 320,
    });
  });

  // EXIF orientation 6: the 0th row is at the right, so the picture is shown turned 90 degrees clockwise (TIFF 6.0, tag 274).
  it('are turned upright by their EXIF orientation, and keep no place, device or other metadata', async () => {
    const id = newId<PhotoId>();
    const tagged = await halves()
      .withExif({
        IFD0: { Make: 'Somebody', Model: 'Something' },
        IFD3: {
          GPSLatitudeRef: 'N',
          GPSLatitude: '51/1 30/1 0/1',
          GPSLongitudeRef: 'W',
          GPSLongitude: '0/1 7/1 0/1',
        },
      })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const came = await sharp(tagged).metadata();
    expect(came.orientation).toBe(6);
    expect(came.exif?.includes('Somebody')).toBe(true);
    expect((await put(id, Buffer.from(tagged))).body).toMatchObject({ width: 40, height: 60 });
    const kept = await get(id);
    const metadata = await sharp(kept.bytes).metadata();
    expect(metadata).toMatchObject({ width: 40, height: 60 });
    expect(metadata.exif).toBeUndefined();
    expect(metadata.orientation).toBeUndefined();
    for (const text of ['Somebody', 'Exif', 'GPS']) expect(kept.bytes.includes(text)).toBe(false);
    // Left becomes top: red above, blue below.
    const pixels = await sharp(kept.bytes).raw().toBuffer({ resolveWithObject: true });
    const at = (x: number, y: number) => [...pixels.data.subarray((y * 40 + x) * 3, (y * 40 + x) * 3 + 3)];
    expect(at(20, 10)[0]).toBeGreaterThan(200);
    expect(at(20, 50)[2]).toBeGreaterThan(200);
  });

  it('sent twice are kept once, the first as it was', async () => {
    const id = newId<PhotoId>();
    await put(id, await bytesOf(halves()));
    const before = (await get(id)).bytes;
    expect((await put(id, await bytesOf(halves().negate()))).status).toBe(200);
    expect((await get(id)).bytes.equals(before)).toBe(true);
  });

  it('half an upload that a killed server left behind is cleared away at the next start', async () => {
    writeFileSync(join(folder, 'photos', 'abc.raw.part'), 'half a picture');
    await served.stop();
    served = await serve(folder);
    expect(readdirSync(join(folder, 'photos')).filter((name) => name.endsWith('.part'))).toEqual([]);
  });

  it('over 25 MB are refused clearly, said beforehand or not, and leave nothing behind', async () => {
    const count = readdirSync(join(folder, 'photos')).length;
    const large = Buffer.alloc(25 * 1024 * 1024 + 1, 7);
    const said = await put(newId<PhotoId>(), large);
    expect(said).toMatchObject({
      status: 413,
      body: { code: 'photo-too-large', message: expect.stringContaining('25 MB') },
    });
    const unsaid = await fetch(`${served.base}/api/photos/${newId<PhotoId>()}`, {
      method: 'PUT',
      headers: { 'content-type': 'image/jpeg' },
      body: new ReadableStream({
        start(controller) {
          for (let at = 0; at < large.length; at += 1 << 20)
            controller.enqueue(large.subarray(at, at + (1 << 20)));
          controller.close();
        },
      }),
      duplex: 'half',
    } as RequestInit).then(
      ({ status }) => status,
      () => 'connection ended',
    );
    expect([413, 'connection ended']).toContain(unsaid);
    expect(readdirSync(join(folder, 'photos'))).toHaveLength(count);
  });

  it.each<[string, () => Promise<Buffer<ArrayBuffer>>]>([
    ['a text', async () => Buffer.from('no picture at all')],
    ['an empty file', async () => Buffer.alloc(0)],
    ['half a JPEG', async () => (await bytesOf(halves().resize(900, 600))).subarray(0, 3000)],
  ])('that are broken are refused clearly: %s', async (_, make) => {
    const id = newId<PhotoId>();
    const answer = await put(id, Buffer.from(await make()));
    expect(answer).toMatchObject({ status: 422, body: { code: 'not-a-picture' } });
    expect(answer.body.hint).toContain('JPEG');
    expect((await get(id)).status).toBe(404);
  });
});

import { Injectable } from '@nestjs/common';
import type { PhotoSize, StoredPhoto } from '@which-way/contract';
import { PHOTO_BYTES, PHOTO_EDGE, PHOTO_PIXELS } from '@which-way/core/schema';
import { type PhotoId } from '@which-way/core/switch';
import { randomBytes } from 'node:crypto';
import { createReadStream, mkdirSync, type ReadStream } from 'node:fs';
import { open, readdir, rename, rm, stat, utimes, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import sharp from 'sharp';
import { storeTrouble } from '../errors/error-body.js';
import { receiveFile } from '../errors/receive-file.js';
import { Refusal, refused } from '../errors/refusal.js';

const THUMB_EDGE = 480;
const FULL_NAME = /^[0-9a-f-]{36}\.jpg$/;

/** Where photos are kept, by their id. A backup copies the database and what is behind this door. */
export abstract class PhotoStore {
  /** Takes in a picture. An id that is there already keeps its picture. */
  abstract put(id: PhotoId, picture: Readable): Promise<StoredPhoto>;
  /** The picture as a stream of JPEG; null when there is none. */
  abstract read(id: PhotoId, size: PhotoSize): Promise<{ bytes: number; stream: ReadStream } | null>;
  abstract has(id: PhotoId): Promise<boolean>;
  /** Photos that were taken in, or sent once more, before then. */
  abstract olderThan(when: Date): Promise<PhotoId[]>;
  abstract remove(id: PhotoId): Promise<void>;
}

/**
 * Photos as files in a folder. What comes in is turned upright by its EXIF orientation and written anew as JPEG
 * without any metadata, so that no place or device is kept. A picture is on the disk, whole, before it has its name.
 */
@Injectable()
export class PhotoFolder extends PhotoStore {
  /** One picture is unpacked at a time: a large one takes some hundred MB. */
  #unpacking: Promise<unknown> = Promise.resolve();

  constructor(private readonly folder: string) {
    super();
    mkdirSync(folder, { recursive: true });
    sharp.cache(false);
    sharp.concurrency(1);
  }

  async put(id: PhotoId, picture: Readable): Promise<StoredPhoto> {
    const there = await this.#measure(id);
    if (there) {
      picture.resume();
      // Somebody is about to write down that it is here: it counts as new.
      await utimes(this.#path(id, 'full'), new Date(), new Date());
      return there;
    }
    const stamp = randomBytes(6).toString('hex');
    const raw = join(this.folder, `${stamp}.raw.part`);
    const full = join(this.folder, `${stamp}.full.part`);
    const thumb = join(this.folder, `${stamp}.thumb.part`);
    try {
      await receiveFile(picture, raw, PHOTO_BYTES, tooLarge);
      const size = await this.#inTurn(() => unpack(raw, full, thumb));
      await rename(thumb, this.#path(id, 'thumb'));
      await rename(full, this.#path(id, 'full'));
      // Some systems cannot open a folder; there the name itself may be lost with the power, never half a picture.
      await toDisk(this.folder, 'r').catch(() => undefined);
      return { id, ...size };
    } finally {
      await Promise.all([raw, full, thumb].map((path) => rm(path, { force: true })));
    }
  }

  #inTurn<Result>(work: () => Promise<Result>): Promise<Result> {
    const turn = this.#unpacking.then(work, work);
    this.#unpacking = turn.catch(() => undefined);
    return turn;
  }

  async read(id: PhotoId, size: PhotoSize): Promise<{ bytes: number; stream: ReadStream } | null> {
    const path = this.#path(id, size);
    const found = await stat(path).catch(() => null);
    return found ? { bytes: found.size, stream: createReadStream(path) } : null;
  }

  async has(id: PhotoId): Promise<boolean> {
    return (await stat(this.#path(id, 'full')).catch(() => null)) !== null;
  }

  async olderThan(when: Date): Promise<PhotoId[]> {
    const old: PhotoId[] = [];
    for (const name of await readdir(this.folder)) {
      if (!FULL_NAME.test(name)) continue;
      const found = await stat(join(this.folder, name)).catch(() => null);
      if (found && found.mtime < when) old.push(name.slice(0, -'.jpg'.length) as PhotoId);
    }
    return old;
  }

  async remove(id: PhotoId): Promise<void> {
    for (const size of ['thumb', 'full'] as const) await rm(this.#path(id, size), { force: true });
  }

  /** Removes what an interrupted upload left behind. */
  async tidy(): Promise<void> {
    for (const name of await readdir(this.folder))
      if (name.endsWith('.part')) await rm(join(this.folder, name), { force: true });
  }

  async #measure(id: PhotoId): Promise<StoredPhoto | null> {
    if (!(await this.has(id))) return null;
    const { width = 1, height = 1 } = await sharp(this.#path(id, 'full')).metadata();
    return { id, width, height };
  }

  #path(id: PhotoId, size: PhotoSize): string {
    return join(this.folder, `${id}${size === 'thumb' ? '.thumb' : ''}.jpg`);
  }
}

/** Writes both sizes of a picture; the small one is made of the large one, which is upright already. */
async function unpack(raw: string, full: string, thumb: string): Promise<{ width: number; height: number }> {
  const upright = await rewritten(raw, null);
  await toFile(full, upright.data);
  const small = await rewritten(full, THUMB_EDGE);
  await toFile(thumb, small.data);
  const { width, height } = upright;
  return { width, height };
}

/** A picture written anew: upright, on white where it was transparent, without metadata. */
async function rewritten(
  from: string,
  edge: number | null,
): Promise<{ width: number; height: number; data: Buffer }> {
  try {
    const picture = sharp(from, { limitInputPixels: PHOTO_PIXELS, failOn: 'error', sequentialRead: true });
    const { width: wide = 0, height: high = 0 } = await picture.metadata();
    if (Math.max(wide, high) > PHOTO_EDGE) throw tooWide(wide, high);
    const upright = picture.autoOrient().flatten({ background: '#ffffff' });
    const sized =
      edge === null
        ? upright
        : upright.resize({ width: edge, height: edge, fit: 'inside', withoutEnlargement: true });
    const { data, info } = await sized
      // Optimised coding would hold all coefficients of the picture at once: 300 MB for 100 megapixels.
      .jpeg({ quality: edge === null ? 90 : 78, optimiseCoding: false })
      .toBuffer({ resolveWithObject: true });
    return { width: info.width, height: info.height, data };
  } catch (error) {
    // What the disk or the memory cannot do is not the picture's fault: it is tried again later.
    if (error instanceof Refusal || storeTrouble(error)) throw error;
    throw refused(422, 'not-a-picture', { said: said(error) });
  }
}

function said(error: unknown): string {
  const text = error instanceof Error ? error.message : String(error);
  return (text.split('\n')[0] ?? text).replace(/^Input file.*: /, '').replace(/\.$/, '');
}

const tooWide = (width: number, height: number): Refusal =>
  refused(422, 'photo-too-wide', { width, height, most: PHOTO_EDGE });

/** The refusal of a photo that is over the limit. */
export const tooLarge = (): Refusal => refused(413, 'photo-too-large');

/** Writes a file and has it on the disk. */
async function toFile(path: string, data: Buffer): Promise<void> {
  await writeFile(path, data);
  await toDisk(path, 'r+');
}

async function toDisk(path: string, flags: 'r' | 'r+'): Promise<void> {
  const file = await open(path, flags);
  try {
    await file.sync();
  } finally {
    await file.close();
  }
}

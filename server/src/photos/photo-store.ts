import { Injectable } from '@nestjs/common';
import type { StoredPhoto } from '@which-way/contract';
import type { PhotoId } from '@which-way/core/switch';
import { randomBytes } from 'node:crypto';
import { createReadStream, createWriteStream, mkdirSync, type ReadStream } from 'node:fs';
import { open, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import sharp from 'sharp';
import { Refusal } from '../errors/refusal.js';

export const PHOTO_LIMIT_BYTES = 25 * 1024 * 1024;
/** Larger pictures are refused before they are unpacked. */
const PIXEL_LIMIT = 120_000_000;
const THUMB_EDGE = 480;

/** The two sizes in which a photo is kept. */
export type PhotoSize = 'full' | 'thumb';

/** Where photos are kept, by their id. A backup copies the database and what is behind this door. */
export abstract class PhotoStore {
  /** Takes in a picture. An id that is there already keeps its picture. */
  abstract put(id: PhotoId, picture: Readable): Promise<StoredPhoto>;
  /** The picture as a stream of JPEG; null when there is none. */
  abstract read(id: PhotoId, size: PhotoSize): Promise<{ bytes: number; stream: ReadStream } | null>;
}

/**
 * Photos as files in a folder. What comes in is turned upright by its EXIF orientation and written anew as JPEG
 * without any metadata, so that no place or device is kept. A picture is on the disk, whole, before it has its name.
 */
@Injectable()
export class PhotoFolder extends PhotoStore {
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
      return there;
    }
    const stamp = randomBytes(6).toString('hex');
    const [raw, full, thumb] = ['raw', 'full', 'thumb'].map((part) =>
      join(this.folder, `${stamp}.${part}.part`),
    ) as [string, string, string];
    try {
      await pipeline(picture, atMost(PHOTO_LIMIT_BYTES), createWriteStream(raw));
      const upright = await rewrite(raw, full, null);
      await rewrite(raw, thumb, THUMB_EDGE);
      await Promise.all([full, thumb].map((path) => toDisk(path, 'r+')));
      await rename(thumb, this.#path(id, 'thumb'));
      await rename(full, this.#path(id, 'full'));
      // Some systems cannot open a folder; there the name itself may be lost with the power, never half a picture.
      await toDisk(this.folder, 'r').catch(() => undefined);
      return { id, ...upright };
    } finally {
      await Promise.all([raw, full, thumb].map((path) => rm(path, { force: true })));
    }
  }

  async read(id: PhotoId, size: PhotoSize): Promise<{ bytes: number; stream: ReadStream } | null> {
    const path = this.#path(id, size);
    const found = await stat(path).catch(() => null);
    return found ? { bytes: found.size, stream: createReadStream(path) } : null;
  }

  /** Removes what an interrupted upload left behind. */
  async tidy(): Promise<void> {
    for (const name of await readdir(this.folder))
      if (name.endsWith('.part')) await rm(join(this.folder, name), { force: true });
  }

  async #measure(id: PhotoId): Promise<StoredPhoto | null> {
    const path = this.#path(id, 'full');
    if (!(await stat(path).catch(() => null))) return null;
    const { width = 1, height = 1 } = await sharp(path).metadata();
    return { id, width, height };
  }

  #path(id: PhotoId, size: PhotoSize): string {
    return join(this.folder, `${id}${size === 'thumb' ? '.thumb' : ''}.jpg`);
  }
}

/** Writes a picture anew: upright, on white where it was transparent, without metadata. */
async function rewrite(
  from: string,
  to: string,
  edge: number | null,
): Promise<{ width: number; height: number }> {
  try {
    const upright = sharp(from, { limitInputPixels: PIXEL_LIMIT, failOn: 'error' })
      .autoOrient()
      .flatten({ background: '#ffffff' });
    const sized =
      edge === null
        ? upright
        : upright.resize({ width: edge, height: edge, fit: 'inside', withoutEnlargement: true });
    const { width, height } = await sized.jpeg({ quality: edge === null ? 90 : 78 }).toFile(to);
    return { width, height };
  } catch (error) {
    throw new Refusal(422, {
      code: 'not-a-picture',
      message: `This is not a picture that can be read: ${said(error)}.`,
      path: '',
      hint: 'Send a whole JPEG, PNG, WebP, GIF, AVIF or TIFF. On some phones the camera must be set to JPEG ("most compatible").',
    });
  }
}

function said(error: unknown): string {
  const text = error instanceof Error ? error.message : String(error);
  return (text.split('\n')[0] ?? text).replace(/^Input file.*: /, '').replace(/\.$/, '');
}

function atMost(limit: number): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (bytes > limit) done(tooLarge());
      else done(null, chunk);
    },
  });
}

/** The refusal of a photo that is over the limit. */
export function tooLarge(): Refusal {
  return new Refusal(413, {
    code: 'photo-too-large',
    message: 'The photo is larger than 25 MB.',
    path: '',
    hint: 'Take it at a lower resolution, or cut it to the part that matters.',
  });
}

async function toDisk(path: string, flags: 'r' | 'r+'): Promise<void> {
  const file = await open(path, flags);
  try {
    await file.sync();
  } finally {
    await file.close();
  }
}

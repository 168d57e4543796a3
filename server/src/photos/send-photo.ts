import type { Response } from 'express';
import { pipeline } from 'node:stream/promises';
import type { PhotoStore } from './photo-store.js';

/** Answers with a photo. It never changes; `kept`: whoever reads it may keep it. */
export async function sendPhoto(
  { bytes, stream }: NonNullable<Awaited<ReturnType<PhotoStore['read']>>>,
  response: Response,
  kept = true,
): Promise<void> {
  response.set({
    'content-type': 'image/jpeg',
    'content-length': String(bytes),
    'cache-control': kept ? 'private, max-age=31536000, immutable' : 'no-store',
  });
  // A reader that goes away in the middle is nobody's trouble.
  await pipeline(stream, response).catch(() => undefined);
}

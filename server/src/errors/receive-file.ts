import { open } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import type { Refusal } from './refusal.js';

/**
 * Writes what comes in over the network into a file. Where that fails (too large, the disk full), the rest of it is read and
 * dropped instead of cutting the connection: else whoever sent it would never hear why.
 * @param most bytes at most; beyond it `tooLarge` is thrown.
 */
export async function receiveFile(
  body: Readable,
  path: string,
  most = Infinity,
  tooLarge: () => Refusal | Error = () => new Error('too large'),
): Promise<void> {
  try {
    const file = await open(path, 'w');
    try {
      let bytes = 0;
      for await (const chunk of body.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>) {
        bytes += chunk.length;
        if (bytes > most) throw tooLarge();
        // The whole chunk: a single write may be short, on a full disk first of all.
        await file.appendFile(chunk);
      }
    } finally {
      await file.close();
    }
  } catch (error) {
    body.resume();
    throw error;
  }
}

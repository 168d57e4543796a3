import { Transform, type Readable } from 'node:stream';
import { crc32 } from 'node:zlib';
import { open, type Entry, type ZipFile as Opened } from 'yauzl';
import { Refusal, refused } from '../errors/refusal.js';
import { ZIP_FILE_TEXT } from '@which-way/words/server/transfer/zip-file';

/** More than any bench has; a file that says so is no file of ours. */
const MOST_ENTRIES = 300_000;

/** A zip that is read: what is in it by name, each to be read as a stream. */
export interface ZipFile {
  /** Where it lies. */
  path: string;
  entries: ReadonlyMap<string, Entry>;
  stream(name: string): Promise<Readable>;
  close(): void;
}

/** Whether a file begins as a zip does (local file header signature, APPNOTE 4.3.7). */
export const looksLikeZip = (start: Uint8Array): boolean =>
  start[0] === 0x50 && start[1] === 0x4b && start[2] === 0x03 && start[3] === 0x04;

/** Opens a zip and reads its list. @throws Refusal where it is cut off or damaged. */
export async function openZip(path: string): Promise<ZipFile> {
  try {
    const opened = await new Promise<Opened>((resolve, reject) =>
      open(path, { lazyEntries: true, autoClose: false }, (error, zip) =>
        error ? reject(error) : resolve(zip),
      ),
    );
    const entries = await listOf(opened);
    return {
      path,
      entries,
      stream: (name) =>
        new Promise((resolve, reject) => {
          const entry = entries.get(name);
          if (!entry) return reject(damaged(ZIP_FILE_TEXT.isMissing(name)));
          opened.openReadStream(entry, (error, stream) =>
            error ? reject(damaged(error.message)) : resolve(checked(stream, entry)),
          );
        }),
      close: () => opened.close(),
    };
  } catch (error) {
    throw error instanceof Refusal ? error : damaged(error instanceof Error ? error.message : String(error));
  }
}

/** The stream, which fails at its end where the sum of what came is not the one that the zip states (APPNOTE 4.4.7). */
function checked(stream: Readable, { crc32: stated, fileName, uncompressedSize }: Entry): Readable {
  let sum = 0;
  let bytes = 0;
  const check = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (bytes > uncompressedSize) return done(damaged(ZIP_FILE_TEXT.isLongerThanItSays(fileName)));
      sum = crc32(chunk, sum);
      done(null, chunk);
    },
    flush: (done) => done(sum === stated ? null : damaged(ZIP_FILE_TEXT.isNotAsItWas(fileName))),
  });
  stream.on('error', (error) => check.destroy(error));
  return stream.pipe(check);
}

function listOf(zip: Opened): Promise<Map<string, Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>();
    zip.on('error', reject);
    zip.on('entry', (entry: Entry) => {
      if (entries.size >= MOST_ENTRIES) return reject(damaged(ZIP_FILE_TEXT.itListsTooManyFiles));
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.on('end', () => resolve(entries));
    zip.readEntry();
  });
}

export const damaged = (how: string): Refusal =>
  refused(422, 'damaged-file', { how: how.replace(/\.$/, '') });

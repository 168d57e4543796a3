import Database from 'libsql';
import { createHash } from 'node:crypto';
import { chmodSync, createReadStream, createWriteStream, existsSync, rmSync } from 'node:fs';
import { open, readdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { finished, pipeline } from 'node:stream/promises';
import { ZipFile } from 'yazl';
import type { Reporter } from '../backroom/reporter.js';
import { storeTrouble } from '../errors/error-body.js';
import { refused } from '../errors/refusal.js';
import { dropSecrets } from '../database/secrets.js';
import { DATABASE_NAME, MANIFEST_NAME, type Manifest } from './manifest.js';

export interface BackupSource {
  database: string;
  /** Folder of the photos. */
  photos: string;
  /** Version of the program. */
  program: string;
}

/**
 * Makes a backup while the server runs: the database as it is at one moment (VACUUM INTO, on a connection of its own), then
 * the photos, which are only ever added: so none that the database speaks of is missing. The file has its name when it is whole
 * and on the disk.
 */
export async function backUp(
  { database, photos, program }: BackupSource,
  to: string,
  report: Reporter,
): Promise<Manifest> {
  const part = `${to}.part`;
  const copy = `${to}.database`;
  try {
    report('database', 0, 0);
    const counts = copyDatabase(database, copy);
    const files: Record<string, string> = {};
    const zip = new ZipFile();
    const written = pipeline(zip.outputStream as Readable, createWriteStream(part));
    const add = async (path: string, name: string, compress: boolean) => {
      files[name] = await hashOf(path);
      zip.addFile(path, name, { compress });
    };
    await add(copy, DATABASE_NAME, true);
    const names = (await readdir(photos).catch(() => [])).filter((name) => name.endsWith('.jpg')).sort();
    for (const [index, name] of names.entries()) {
      await add(join(photos, name), `photos/${name}`, false);
      report('photos', index + 1, names.length);
    }
    const manifest: Manifest = {
      format: 'which-way-backup',
      version: 1,
      program,
      made: new Date().toISOString(),
      ...counts,
      files,
    };
    zip.addBuffer(Buffer.from(JSON.stringify(manifest, null, 1)), MANIFEST_NAME);
    zip.end();
    await written;
    const file = await open(part, 'r+');
    await file.sync();
    await file.close();
    await rename(part, to);
    return manifest;
  } catch (error) {
    // What is read is sound, or the server would not run: it is the copy that cannot be written.
    throw isOutOfRoom(error) ? refused(503, 'no-room-for-backup').toWire() : error;
  } finally {
    for (const left of [part, copy]) await rm(left, { force: true });
  }
}

const isOutOfRoom = (error: unknown): boolean =>
  /FULL|IOERR|ENOSPC|EDQUOT|EFBIG/.test(storeTrouble(error) ?? '');

function copyDatabase(database: string, to: string): { jobs: number; events: number } {
  if (!existsSync(database)) throw new Error(`there is no database at ${database}`);
  rmSync(to, { force: true });
  const source = new Database(database);
  try {
    source.exec('PRAGMA busy_timeout = 5000');
    source.prepare('VACUUM INTO ?').run(to);
  } finally {
    source.close();
  }
  chmodSync(to, 0o600);
  const copied = new Database(to);
  dropSecrets(copied);
  const count = (table: string) =>
    (copied.prepare(`SELECT count(*) AS n FROM ${table}`).get() as { n: number }).n;
  try {
    return { jobs: count('job'), events: count('job_event') };
  } finally {
    copied.close();
  }
}

/** SHA-256 of a file, in hex. */
export async function hashOf(path: string): Promise<string> {
  return hashOfStream(createReadStream(path));
}

async function hashOfStream(stream: Readable): Promise<string> {
  const hash = createHash('sha256');
  stream.on('data', (chunk: Buffer) => hash.update(chunk));
  await finished(stream);
  return hash.digest('hex');
}

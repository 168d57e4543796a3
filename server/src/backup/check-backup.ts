import Database from 'libsql';
import { createWriteStream, mkdirSync, rmSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { text } from 'node:stream/consumers';
import type { Reporter } from '../backroom/reporter.js';
import { MIGRATIONS } from '../database/data-source.js';
import { damaged, openZip, type ZipFile } from '../transfer/zip-file.js';
import { Refusal, refused } from '../errors/refusal.js';
import { hashOf } from './back-up.js';
import { DATABASE_NAME, MANIFEST_NAME, readManifest, type Manifest } from './manifest.js';

/** A backup that was unpacked beside the store and found whole. */
export interface CheckedBackup {
  manifest: Manifest;
  /** Where its database and its folder of photos are now. */
  database: string;
  photos: string;
}

/**
 * Unpacks a backup into a folder of its own and checks all of it: every file is there and is what the manifest says, the
 * database is sound and of a version that this program can read. Nothing is replaced.
 * @throws what a worker can throw: a Refusal on the wire. The folder is gone then.
 */
export async function checkBackup(file: string, to: string, report: Reporter): Promise<CheckedBackup> {
  const photos = join(to, 'photos');
  try {
    mkdirSync(photos, { recursive: true });
    const zip = await openZip(file);
    try {
      const manifest = await manifestOf(zip);
      const names = Object.keys(manifest.files);
      for (const [index, name] of names.entries()) {
        report('checking', index, names.length);
        await unpack(zip, name, manifest.files[name] ?? '', to);
      }
      const database = join(to, DATABASE_NAME);
      checkDatabase(database);
      return { manifest, database, photos };
    } finally {
      zip.close();
    }
  } catch (error) {
    rmSync(to, { recursive: true, force: true });
    throw error instanceof Refusal ? error.toWire() : error;
  }
}

async function manifestOf(zip: ZipFile): Promise<Manifest> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(await text(await zip.stream(MANIFEST_NAME)));
  } catch {
    throw notABackup('it has no manifest');
  }
  const read = readManifest(parsed);
  if (typeof read === 'string') throw notABackup(read);
  return read;
}

async function unpack(zip: ZipFile, name: string, hash: string, to: string): Promise<void> {
  const known = name === DATABASE_NAME || /^photos\/[0-9a-f-]{36}(\.thumb)?\.jpg$/.test(name);
  if (!known) throw notABackup(`"${basename(name)}" has no place in it`);
  const path = join(to, name);
  try {
    await pipeline(await zip.stream(name), createWriteStream(path));
  } catch (error) {
    const code = error instanceof Error && 'code' in error ? String(error.code) : '';
    if (error instanceof Refusal || /^E[A-Z]+$/.test(code)) throw error;
    throw damaged(`${name}: ${error instanceof Error ? error.message : String(error)}`);
  }
  const handle = await open(path, 'r+');
  await handle.sync();
  await handle.close();
  if ((await hashOf(path)) !== hash) throw damaged(`${name} is not as it was backed up`);
}

/** @throws Refusal when the database is damaged, or a newer program wrote it. */
function checkDatabase(path: string): void {
  const database = new Database(path);
  try {
    const [row] = database.prepare('PRAGMA quick_check').all() as { quick_check: string }[];
    if (row?.quick_check !== 'ok') throw damaged(`its database: ${row?.quick_check ?? 'no answer'}`);
    const known = new Set(MIGRATIONS.map(({ name }) => name));
    const there = database.prepare('SELECT name FROM migrations').all() as { name: string }[];
    const strange = there.find(({ name }) => !known.has(name));
    if (strange) throw notABackup('a newer Which Way wrote it: update this one first');
  } finally {
    database.close();
  }
}

const notABackup = (why: string): Refusal => refused(422, 'not-a-backup', { why });

import Database from 'libsql';
import { chmodSync, createWriteStream, mkdirSync, rmSync, statfsSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { text } from 'node:stream/consumers';
import type { Reporter } from '../backroom/reporter.js';
import { DataSource } from 'typeorm';
import { dataSourceOptions, MIGRATIONS } from '../database/data-source.js';
import { differenceOf, schemaAt, schemaOf } from '../database/schema-of.js';
import { dropSecrets } from '../database/secrets.js';
import { damaged, openZip, type ZipFile } from '../transfer/zip-file.js';
import { Refusal, refused } from '../errors/refusal.js';
import { hashOf } from './back-up.js';
import { DATABASE_NAME, MANIFEST_NAME, readManifest, type Manifest } from './manifest.js';
import { CHECK_BACKUP_TEXT } from '@which-way/words/server/backup/check-backup';

/** Larger than what this program makes, by far; what says to be larger is none of ours. */
const MOST_DATABASE_BYTES = 64 * 1024 ** 3;
const MOST_PHOTO_BYTES = 256 * 1024 ** 2;
const MOST_MANIFEST_BYTES = 64 * 1024 ** 2;

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
      fits(zip, names);
      for (const [index, name] of names.entries()) {
        report('checking', index, names.length);
        await unpack(zip, name, manifest.files[name] ?? '', to);
      }
      const database = join(to, 'ready.sqlite');
      await checkDatabase(join(to, DATABASE_NAME), database);
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
    parsed = JSON.parse(await manifestText(zip));
  } catch (error) {
    if (error instanceof Refusal && error.body.code === 'not-a-backup') throw error;
    throw notABackup(CHECK_BACKUP_TEXT.itHasNoManifest);
  }
  const read = readManifest(parsed);
  if (typeof read === 'string') throw notABackup(read);
  return read;
}

/** Sizes are looked at before anything is unpacked: a small zip can claim to be a large one. */
function fits(zip: ZipFile, names: readonly string[]): void {
  let all = 0;
  for (const name of names) {
    const bytes = zip.entries.get(name)?.uncompressedSize ?? 0;
    const most = name === DATABASE_NAME ? MOST_DATABASE_BYTES : MOST_PHOTO_BYTES;
    if (bytes > most) throw notABackup(CHECK_BACKUP_TEXT.wouldBeLargerThanAny(name));
    all += bytes;
  }
  const { bavail, bsize } = statfsSync(dirname(zip.path));
  if (all > bavail * bsize) throw refused(503, 'disk-full');
}

async function manifestText(zip: ZipFile): Promise<string> {
  if ((zip.entries.get(MANIFEST_NAME)?.uncompressedSize ?? 0) > MOST_MANIFEST_BYTES)
    throw notABackup(CHECK_BACKUP_TEXT.itsListIsLongerThan);
  return text(await zip.stream(MANIFEST_NAME));
}

async function unpack(zip: ZipFile, name: string, hash: string, to: string): Promise<void> {
  const known = name === DATABASE_NAME || /^photos\/[0-9a-f-]{36}(\.thumb)?\.jpg$/.test(name);
  if (!known) throw notABackup(CHECK_BACKUP_TEXT.hasNoPlaceInIt(basename(name)));
  const path = join(to, name);
  try {
    await pipeline(await zip.stream(name), createWriteStream(path, { mode: 0o600 }));
  } catch (error) {
    const code = error instanceof Error && 'code' in error ? String(error.code) : '';
    if (error instanceof Refusal || /^E[A-Z]+$/.test(code)) throw error;
    throw damaged(`${name}: ${error instanceof Error ? error.message : String(error)}`);
  }
  const handle = await open(path, 'r+');
  await handle.sync();
  await handle.close();
  if ((await hashOf(path)) !== hash) throw damaged(CHECK_BACKUP_TEXT.isNotAsItWas(name));
}

/**
 * Looks a database through as it came: sound, written by this program or an older one, and made of nothing else than what that program
 * makes. Secrets that an older one still held are dropped.
 * @param ready where it is afterwards, as this program has it.
 * @throws Refusal
 */
async function checkDatabase(path: string, ready: string): Promise<void> {
  const database = new Database(path);
  try {
    const [row] = database.prepare('PRAGMA quick_check').all() as { quick_check: string }[];
    if (row?.quick_check !== 'ok')
      throw damaged(CHECK_BACKUP_TEXT.itsDatabase(row?.quick_check ?? 'no answer'));
    const strange = differenceOf(schemaOf(database), await schemaAt(levelOf(database), `${path}.fresh`));
    if (strange !== null) throw notABackup(CHECK_BACKUP_TEXT.itsDatabaseIsNotOne(strange));
    dropSecrets(database);
    database.close();
    await bringUpToDate(path, ready);
  } catch (error) {
    if (error instanceof Refusal) throw error;
    // SQLite's own messages don't help a person.
    throw damaged(CHECK_BACKUP_TEXT.itsDatabaseCannotBeRead);
  } finally {
    if (database.open) database.close();
  }
}

/** Values without which a page would not open: how many rows have others. */
const WRONG_VALUES: readonly { what: string; sql: string }[] = [
  {
    what: CHECK_BACKUP_TEXT.aJob,
    sql: "SELECT 1 FROM job WHERE typeof(title) <> 'text' OR typeof(place) <> 'text'",
  },
  {
    what: CHECK_BACKUP_TEXT.aJob,
    sql: 'SELECT 1 FROM job WHERE simulation IS NOT NULL AND NOT json_valid(simulation)',
  },
  { what: CHECK_BACKUP_TEXT.aSummary, sql: 'SELECT 1 FROM job_summary WHERE NOT json_valid(body)' },
  {
    what: CHECK_BACKUP_TEXT.anEntryOfTheLibrary,
    sql: 'SELECT 1 FROM library_entry WHERE NOT json_valid(body)',
  },
  {
    what: CHECK_BACKUP_TEXT.theShopsSettings,
    sql: "SELECT 1 FROM note WHERE key IN ('shop', 'missing') AND NOT json_valid(value)",
  },
];

/**
 * Migrates a database before it is put in place, as the next start would: what fails there fails here, and nothing was replaced. The
 * result is a file of its own: SQLite remembers the path under which a file was opened here, and it is about to be moved.
 */
async function bringUpToDate(path: string, ready: string): Promise<void> {
  const source = await new DataSource(dataSourceOptions(path)).initialize();
  await source.destroy();
  const database = new Database(path);
  try {
    const wrong = WRONG_VALUES.find(({ sql }) => database.prepare(`${sql} LIMIT 1`).all().length > 0);
    if (wrong) throw damaged(CHECK_BACKUP_TEXT.inItsDatabaseCannotBe(wrong.what));
    database.prepare('VACUUM INTO ?').run(ready);
  } finally {
    database.close();
  }
  chmodSync(ready, 0o600);
  const file = await open(ready, 'r+');
  await file.sync();
  await file.close();
}

/** How many of the migrations a database has been through, one after the other. */
function levelOf(database: Database.Database): number {
  const has = database.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = 'migrations'");
  if (has.all().length === 0) throw notABackup(CHECK_BACKUP_TEXT.itsDatabaseIsNotOne2);
  const there = (
    database.prepare('SELECT name FROM migrations ORDER BY timestamp').all() as { name: string }[]
  ).map(({ name }) => name);
  const known = MIGRATIONS.map(({ name }) => name);
  if (there.some((name) => !known.includes(name))) throw notABackup(CHECK_BACKUP_TEXT.aNewerWhichWayWrote);
  if (there.length === 0 || there.some((name, at) => name !== known[at]))
    throw notABackup(CHECK_BACKUP_TEXT.itsDatabaseIsNotOne3);
  return there.length;
}

const notABackup = (why: string): Refusal => refused(422, 'not-a-backup', { why });

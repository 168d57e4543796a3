import Database from 'libsql';
import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { MIGRATIONS } from './data-source.js';
import { DATA_FOLDER_TEXT } from '@which-way/words/server/database/data-folder';

/** Why a data folder cannot be used; the message is for the person who started the program. */
export class DataFolderError extends Error {}

/** A data folder that this process alone may use until it ends. */
export interface DataFolder {
  database: string;
  /** Folder of the photos; made by whoever fills it. */
  photos: string;
  /** Where what was in it is now, if it was moved aside; null when nothing was. */
  aside: string | null;
  release(): void;
}

/**
 * Locks that are held: a connection that nobody refers to is closed by the garbage collector, and its lock with it. So they stay here
 * until they are given back, whatever their taker does with what it got.
 */
const held = new Set<Database.Database>();

/** What belongs to the running of a data folder, and stays in it when the rest is moved aside. */
const STAYS = /^lock\.sqlite/;

/**
 * Takes a data folder: makes it where it is missing, locks it against a second server, and checks the database in
 * it before anything is written.
 * @param fresh begins anew: what is in it is moved aside, into a folder beside it. Nothing is ever deleted.
 * @throws DataFolderError when it is locked, damaged, of a newer program, or cannot be written. Nothing in it is changed then.
 */
export function takeDataFolder(folder: string, fresh: boolean): DataFolder {
  try {
    mkdirSync(folder, { recursive: true });
  } catch (error) {
    throw new DataFolderError(DATA_FOLDER_TEXT.theDataFolderCannotBe(folder, messageOf(error)));
  }
  const lock = lockFolder(folder);
  const database = join(folder, 'which-way.sqlite');
  const photos = join(folder, 'photos');
  let aside: string | null = null;
  try {
    if (fresh) aside = moveAside(folder);
    checkDatabase(database);
  } catch (error) {
    lock.release();
    throw error;
  }
  return { database, photos, aside, release: lock.release };
}

/** Makes a data folder where it is missing and keeps every other program out of it, until what it returns is called. */
export function lockDataFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true });
  return lockFolder(folder).release;
}

/** Whether there is anything in a data folder that a person would miss. */
export function holdsSomething(folder: string): boolean {
  return existsSync(folder) && readdirSync(folder).some((name) => !STAYS.test(name));
}

function moveAside(folder: string): string | null {
  if (!holdsSomething(folder)) return null;
  const stamp = new Date().toISOString().replace(/[:.]/g, '-');
  const aside = join(dirname(folder), `${basename(folder)}-aside-${stamp}`);
  mkdirSync(aside, { recursive: true });
  for (const name of readdirSync(folder))
    if (!STAYS.test(name)) renameSync(join(folder, name), join(aside, name));
  return aside;
}

/** An exclusive lock that the operating system gives back when the process dies, however it dies. */
function lockFolder(folder: string): { release: () => void } {
  const path = join(folder, 'lock.sqlite');
  let lock: Database.Database | undefined;
  try {
    lock = new Database(path, { timeout: 300 });
    lock.exec('BEGIN EXCLUSIVE');
    const taken = lock;
    held.add(taken);
    return {
      release: () => {
        if (held.delete(taken)) taken.close();
      },
    };
  } catch (error) {
    lock?.close();
    if (isBusy(error)) {
      throw new DataFolderError(DATA_FOLDER_TEXT.anotherWhichWayIsUsing(folder));
    }
    throw new DataFolderError(DATA_FOLDER_TEXT.theDataFolderCannotBe2(folder, messageOf(error)));
  }
}

/** Up to so many bytes the indexes are compared with their tables at each start: a fraction of a second. */
const WHOLLY_CHECKED = 32 * 2 ** 20;

/**
 * What SQLite says of a database: `ok`, or what is wrong. An index that is not what its table says loses rows in silence; which of the
 * two is right can't be told from here, so the index is not rebuilt.
 */
function soundness(database: Database.Database, wholly: boolean): string {
  const check = wholly ? 'integrity_check' : 'quick_check';
  const row = database.prepare(`PRAGMA ${check}`).get() as Partial<Record<typeof check, string>> | undefined;
  return row?.[check] ?? DATA_FOLDER_TEXT.noAnswer;
}

function checkDatabase(path: string): void {
  if (!existsSync(path)) return;
  let database: Database.Database | undefined;
  try {
    database = new Database(path, { timeout: 1000 });
    const said = soundness(database, statSync(path).size <= WHOLLY_CHECKED);
    if (said !== 'ok') throw new Error(said);
    const newer = newerThanThis(database);
    if (newer !== null) throw new DataFolderError(newer);
  } catch (error) {
    if (error instanceof DataFolderError) throw error;
    if (isBusy(error)) {
      throw new DataFolderError(DATA_FOLDER_TEXT.theDatabaseIsLockedBy(path));
    }
    throw new DataFolderError(
      `The database ${path} is damaged: ${messageOf(error)}\n` +
        'Nothing was changed. Keep a copy of the folder, then restore a backup (npm run restore -- FILE), or start over with --fresh.',
    );
  } finally {
    database?.close();
  }
}

/** Under this key a database says which program can read it. */
export const NEEDS = 'needs';

/** A sentence about a database that a newer program wrote; null for one of this program, or an older one. */
function newerThanThis(database: Database.Database): string | null {
  const has = (table: string) =>
    database.prepare("SELECT 1 FROM sqlite_master WHERE type = 'table' AND name = ?").all(table).length > 0;
  if (!has('migrations')) return null;
  const known = new Set(MIGRATIONS.map(({ name }) => name));
  const names = database.prepare('SELECT name FROM migrations').all() as { name: string }[];
  if (names.every(({ name }) => known.has(name))) return null;
  const [needs] = has('note')
    ? (database.prepare('SELECT value FROM note WHERE key = ?').all(NEEDS) as { value: string }[])
    : [];
  return DATA_FOLDER_TEXT.theDatabaseWasWrittenBy(needs?.value ?? 'unknown');
}

function isBusy(error: unknown): boolean {
  return /SQLITE_(BUSY|LOCKED)|database is locked/i.test(`${codeOf(error)} ${messageOf(error)}`);
}

function codeOf(error: unknown): string {
  return typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
}

function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}

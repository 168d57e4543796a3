import Database from 'libsql';
import { existsSync, mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';

/** Why a data folder cannot be used; the message is for the person who started the program. */
export class DataFolderError extends Error {}

/** A data folder that this process alone may use until it ends. */
export interface DataFolder {
  database: string;
  /** Folder of the photos; made by whoever fills it. */
  photos: string;
  release(): void;
}

/**
 * Takes a data folder: makes it where it is missing, locks it against a second server, and checks the database in
 * it before anything is written.
 * @throws DataFolderError when it is locked, damaged or cannot be written. Nothing in it is changed then.
 */
export function takeDataFolder(folder: string, fresh: boolean): DataFolder {
  try {
    mkdirSync(folder, { recursive: true });
  } catch (error) {
    throw new DataFolderError(`The data folder ${folder} cannot be made: ${messageOf(error)}`);
  }
  const lock = lockFolder(folder);
  const database = join(folder, 'which-way.sqlite');
  const photos = join(folder, 'photos');
  try {
    if (fresh) rmSync(photos, { recursive: true, force: true });
    if (fresh) for (const ending of ['', '-wal', '-shm']) rmSync(database + ending, { force: true });
    checkDatabase(database);
  } catch (error) {
    lock.close();
    throw error;
  }
  return { database, photos, release: () => lock.close() };
}

/** An exclusive lock that the operating system gives back when the process dies, however it dies. */
function lockFolder(folder: string): Database.Database {
  const path = join(folder, 'lock.sqlite');
  let lock: Database.Database | undefined;
  try {
    lock = new Database(path, { timeout: 300 });
    lock.exec('BEGIN EXCLUSIVE');
    return lock;
  } catch (error) {
    lock?.close();
    if (isBusy(error)) {
      throw new DataFolderError(
        `Another Which Way is using the data folder ${folder}.\nUse the one that is running, or stop it first. Nothing was changed.`,
      );
    }
    throw new DataFolderError(`The data folder ${folder} cannot be locked: ${messageOf(error)}`);
  }
}

function checkDatabase(path: string): void {
  if (!existsSync(path)) return;
  let database: Database.Database | undefined;
  try {
    database = new Database(path, { timeout: 1000 });
    const row: unknown = database.prepare('PRAGMA quick_check').get();
    const said =
      typeof row === 'object' && row !== null && 'quick_check' in row ? String(row.quick_check) : 'no answer';
    if (said !== 'ok') throw new Error(said);
  } catch (error) {
    if (isBusy(error)) {
      throw new DataFolderError(
        `The database ${path} is locked by another program.\nClose that program and start again. Nothing was changed.`,
      );
    }
    throw new DataFolderError(
      `The database ${path} is damaged: ${messageOf(error)}\n` +
        'Nothing was changed. Keep a copy of the folder, then put back a backup, or move the file away to begin anew.',
    );
  } finally {
    database?.close();
  }
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

import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';

/** What belongs to a database besides its main file. */
const ENDINGS = ['', '-wal', '-shm'];

/**
 * Puts a database and its photos in the place of those of a data folder. What was there goes aside, whole, into a folder of its
 * own: nothing is deleted. Renames only, so that it needs no room; a program killed in between leaves both, each whole, in
 * folders of their own.
 * @returns where what was there is now; null when there was nothing.
 */
export function putInPlace(
  folder: string,
  fresh: { database: string; photos: string },
  when: Date = new Date(),
): string | null {
  const database = join(folder, 'which-way.sqlite');
  const photos = join(folder, 'photos');
  const there = [...ENDINGS.map((ending) => database + ending), photos].filter((path) => existsSync(path));
  const aside = there.length > 0 ? asideIn(folder, when) : null;
  if (aside)
    for (const path of there.toReversed()) renameSync(path, join(aside, path.slice(folder.length + 1)));
  renameSync(fresh.photos, photos);
  renameSync(fresh.database, database);
  return aside;
}

/** The other way: what was put in place goes, and what was moved aside is where it was. For a database that does not open after all. */
export function putBackFromAside(folder: string, aside: string | null): void {
  for (const name of [...ENDINGS.map((ending) => `which-way.sqlite${ending}`), 'photos'])
    rmSync(join(folder, name), { recursive: true, force: true });
  if (aside === null) return;
  for (const name of readdirSync(aside)) renameSync(join(aside, name), join(folder, name));
  rmSync(aside, { recursive: true, force: true });
}

/** A new folder for what is moved aside. */
function asideIn(folder: string, when: Date): string {
  const stamp = when.toISOString().replace(/[:.]/g, '-');
  const aside = join(folder, `aside-${stamp}`);
  mkdirSync(aside, { recursive: true });
  return aside;
}

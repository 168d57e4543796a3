import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const fileIn = (folder: string): string => join(folder, 'backed-up');

/** When a backup of a data folder was made last, ISO 8601; null: never, as far as is known. */
export function lastBackup(folder: string): string | null {
  try {
    const said = readFileSync(fileIn(folder), 'utf8').trim();
    return Number.isNaN(Date.parse(said)) ? null : said;
  } catch {
    return null;
  }
}

/** Notes that one was made. In a file, not in the database: a backup may be made by another program while the server runs. */
export function noteBackup(folder: string, when: string): void {
  try {
    writeFileSync(fileIn(folder), `${when}\n`);
  } catch {
    // The backup is there all the same; the bench will say that it is older than it is.
  }
}

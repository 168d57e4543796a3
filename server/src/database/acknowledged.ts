import { closeSync, constants, openSync, readFileSync, writeSync } from 'node:fs';
import { join } from 'node:path';

const WIDTH = 20;

/**
 * The number of the last event that was acknowledged, in a small file beside the database. A database that holds fewer (an
 * older copy, a disk that lost its end) is noticed by it at the next start. Written in place: it needs no room on a full disk.
 */
export class Acknowledged {
  #row: number;
  readonly #file: number;

  /** @param folder the data folder. */
  constructor(folder: string) {
    const path = join(folder, 'acknowledged');
    this.#row = readRow(path);
    this.#file = openSync(path, constants.O_RDWR | constants.O_CREAT, 0o600);
  }

  get row(): number {
    return this.#row;
  }

  /** Notes that everything up to a row was acknowledged. A failure to note it takes nothing from what is stored. */
  advance(row: number): void {
    if (row <= this.#row) return;
    this.#row = row;
    try {
      writeSync(this.#file, `${String(row).padStart(WIDTH - 1)}\n`, 0);
    } catch {
      // The next one that can be written says the same and more.
    }
  }

  close(): void {
    closeSync(this.#file);
  }
}

/** The row noted in a file; 0 where there is none, or nothing that can be read. */
function readRow(path: string): number {
  try {
    const row = Number(readFileSync(path, 'utf8').trim());
    return Number.isSafeInteger(row) && row > 0 ? row : 0;
  } catch {
    return 0;
  }
}

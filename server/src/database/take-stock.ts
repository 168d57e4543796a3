import type { EntityManager } from 'typeorm';
import { randomUUID } from 'node:crypto';
import type { Acknowledged } from './acknowledged.js';
import { readNote, writeNote } from './note.js';
import type { Writer } from './writer.js';

/** Under this key the database keeps how many acknowledged events it was found to miss. */
export const MISSING = 'missing';
const STORE = 'store';

/**
 * At the start: compares the database with what was acknowledged. Where it holds fewer events, the number missing is kept to be
 * shown, and new events are numbered after those that are gone, so that no page takes a new one for one it has seen.
 * @param anew another database was put in the place of the one before.
 * @returns the name of the store: another one whenever something is not as it was.
 */
export async function takeStock(
  writer: Writer,
  acknowledged: Acknowledged,
  { anew = false }: { anew?: boolean } = {},
): Promise<string> {
  return writer.write(async (manager) => {
    const last = await lastRow(manager);
    const missing = Math.max(0, acknowledged.row - last);
    const before = await readNote(manager, STORE);
    if (missing > 0) {
      const kept = await readNote(manager, MISSING);
      const already = kept === null ? 0 : (JSON.parse(kept) as { count: number }).count;
      const said = { count: already + missing, noticed: new Date().toISOString() };
      await writeNote(manager, MISSING, JSON.stringify(said));
      await manager.query("DELETE FROM sqlite_sequence WHERE name = 'job_event'");
      await manager.query("INSERT INTO sqlite_sequence (name, seq) VALUES ('job_event', ?)", [
        acknowledged.row,
      ]);
    }
    if (before !== null && missing === 0 && !anew) {
      acknowledged.advance(last);
      return before;
    }
    const store = randomUUID();
    await writeNote(manager, STORE, store);
    acknowledged.advance(last);
    return store;
  });
}

/** The number of the last event that was ever stored here, deleted ones included. */
async function lastRow(manager: EntityManager): Promise<number> {
  const rows = (await manager.query("SELECT seq FROM sqlite_sequence WHERE name = 'job_event'")) as {
    seq: number;
  }[];
  return rows[0]?.seq ?? 0;
}

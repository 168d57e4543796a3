import type { JobEvent } from '@which-way/core/log';
import type { EntityManager } from 'typeorm';
import type { Writer } from '../database/writer.js';
import type { EventLog } from '../jobs/event-log.js';

/** Milliseconds that one turn should take, and with how many rows the first one tries. */
const TURN_MS = 30;
const ROWS = { first: 100, least: 20, most: 3000 };

/** What was shown of an import. */
export interface Shown {
  /** Events added to jobs that were here before, and those that clashed with what came in meanwhile. */
  joined: number;
  left: number;
  entries: number;
  /** Of those the ones that took the place of others. */
  changed: number;
}

/** One kind of rows of an import: how the next ones are shown; 0 where there are none left. */
type Turn = (manager: EntityManager, rows: number) => Promise<number>;

/**
 * Shows all rows of an import that was decided, a turn at a time, readings before each. Whatever interrupts it, it can be begun
 * again, and comes to the same.
 */
export async function showImport(writer: Writer, log: EventLog, id: string): Promise<Shown> {
  const shown: Shown = { joined: 0, left: 0, entries: 0, changed: 0 };
  await inTurns(writer, (manager, rows) => joinEvents(manager, log, { id, rows, shown }));
  await inTurns(writer, (manager, rows) => showJobs(manager, id, rows));
  await inTurns(writer, (manager, rows) => showEntries(manager, { id, rows, shown }));
  await writer.write(
    (manager) => manager.query('DELETE FROM import_decided WHERE import = ?', [id]),
    'batch',
  );
  return shown;
}

async function inTurns(writer: Writer, turn: Turn): Promise<void> {
  let rows = ROWS.first;
  for (let done = 1; done > 0;)
    done = await writer.write(async (manager) => {
      const began = performance.now();
      const some = await turn(manager, rows);
      const took = Math.max(performance.now() - began, 1);
      const careful = Math.min((rows * TURN_MS) / took, rows * 1.5);
      rows = Math.round(Math.min(ROWS.most, Math.max(ROWS.least, careful)));
      return some;
    }, 'batch');
}

interface Part {
  id: string;
  rows: number;
  shown: Shown;
}

/** Events for jobs that were there before: appended as if they came now, so that open pages hear of them. */
async function joinEvents(manager: EntityManager, log: EventLog, { id, rows, shown }: Part): Promise<number> {
  const staged = (await manager.query(
    'SELECT place, job_id AS job, event FROM staged_event WHERE import = ? ORDER BY place LIMIT ?',
    [id, rows],
  )) as { place: number; job: string; event: string }[];
  const [first] = staged;
  if (!first) return 0;
  const some = staged.filter(({ job }) => job === first.job);
  const { refused, added } = await log.append(
    manager,
    first.job,
    some.map(({ event }) => JSON.parse(event) as JobEvent),
    { trust: 'import', updated: new Date().toISOString() },
  );
  shown.joined += added;
  shown.left += refused.length;
  await manager.query(
    'DELETE FROM staged_event WHERE import = ? AND place IN (SELECT value FROM json_each(?))',
    [id, JSON.stringify(some.map(({ place }) => place))],
  );
  return some.length;
}

async function showJobs(manager: EntityManager, id: string, rows: number): Promise<number> {
  await manager.query(
    `UPDATE job SET import = NULL, updated = coalesce((SELECT at FROM job_event WHERE row = job.cursor), updated)
     WHERE id IN (SELECT id FROM job WHERE import = ? LIMIT ?)`,
    [id, rows],
  );
  return changes(manager);
}

/** Entries, each in the place of the one with its id, if there is one. */
async function showEntries(manager: EntityManager, { id, rows, shown }: Part): Promise<number> {
  const next = (await manager.query(
    'SELECT row, id FROM library_entry WHERE import = ? ORDER BY row LIMIT ?',
    [id, rows],
  )) as { row: number; id: string }[];
  if (next.length === 0) return 0;
  await manager.query(
    'DELETE FROM library_entry WHERE import IS NULL AND id IN (SELECT value FROM json_each(?))',
    [JSON.stringify(next.map((entry) => entry.id))],
  );
  shown.changed += await changes(manager);
  await manager.query(
    'UPDATE library_entry SET import = NULL WHERE row IN (SELECT value FROM json_each(?))',
    [JSON.stringify(next.map(({ row }) => row))],
  );
  shown.entries += next.length;
  return next.length;
}

async function changes(manager: EntityManager): Promise<number> {
  const [{ n }] = (await manager.query('SELECT changes() AS n')) as [{ n: number }];
  return n;
}

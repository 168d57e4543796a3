import type { JobEvent } from '@which-way/core/log';
import type { EntityManager } from 'typeorm';
import type { Writer } from '../database/writer.js';
import { storeTrouble } from '../errors/error-body.js';
import type { EventLog } from '../jobs/event-log.js';

/** Milliseconds that one turn should take, and with how many rows the first one tries. */
const TURN_MS = 30;
const ROWS = { first: 100, least: 20, most: 3000 };
/** How long a disk that takes nothing is waited for, try by try. */
const AGAIN_MS = [50, 200, 1000, 3000, 5000];

/** What was shown of an import. */
export interface Shown {
  /** Events added to jobs that were here before, and those that clashed with what came in meanwhile. */
  joined: number;
  left: number;
  entries: number;
  /** Of those the ones that took the place of others. */
  changed: number;
}

/** What one turn came to: rows done, 0 where there are none left, and what was shown by it. */
interface Turned extends Partial<Shown> {
  rows: number;
}

/** One kind of rows of an import: how the next ones are shown. */
type Turn = (manager: EntityManager, rows: number) => Promise<Turned>;

/**
 * Shows all rows of an import that was decided, a turn at a time, readings before each. Whatever interrupts it, it can be begun
 * again, and comes to the same. A disk that is full is waited for a while.
 * @throws what keeps it from being shown; it stays decided.
 */
export async function showImport(writer: Writer, log: EventLog, id: string): Promise<Shown> {
  const shown: Shown = { joined: 0, left: 0, entries: 0, changed: 0 };
  const turns: Turn[] = [
    (manager, rows) => joinEvents(manager, log, { id, rows }),
    (manager, rows) => showJobs(manager, { id, rows }),
    (manager, rows) => showEntries(manager, { id, rows }),
  ];
  for (const turn of turns) await inTurns(writer, turn, shown);
  await patiently(() =>
    writer.write((manager) => manager.query('DELETE FROM import_decided WHERE import = ?', [id]), 'batch'),
  );
  return shown;
}

async function inTurns(writer: Writer, turn: Turn, shown: Shown): Promise<void> {
  let rows = ROWS.first;
  for (;;) {
    const began = performance.now();
    const done = await patiently(() => writer.write((manager) => turn(manager, rows), 'batch'));
    if (done.rows === 0) return;
    for (const name of ['joined', 'left', 'entries', 'changed'] as const) shown[name] += done[name] ?? 0;
    const took = Math.max(performance.now() - began, 1);
    const careful = Math.min((rows * TURN_MS) / took, rows * 1.5);
    rows = Math.round(Math.min(ROWS.most, Math.max(ROWS.least, careful)));
  }
}

/** Tries again what the disk did not take. */
async function patiently<Result>(work: () => Promise<Result>): Promise<Result> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await work();
    } catch (error) {
      if (tries > AGAIN_MS.length || storeTrouble(error) === null) throw error;
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS[tries - 1]));
    }
  }
}

interface Part {
  id: string;
  rows: number;
}

/** Events for jobs that were there before: appended as if they came now, so that open pages hear of them. */
async function joinEvents(manager: EntityManager, log: EventLog, { id, rows }: Part): Promise<Turned> {
  const staged = (await manager.query(
    'SELECT place, job_id AS job, event FROM staged_event WHERE import = ? ORDER BY place LIMIT ?',
    [id, rows],
  )) as { place: number; job: string; event: string }[];
  const [first] = staged;
  if (!first) return { rows: 0 };
  const some = staged.filter(({ job }) => job === first.job);
  const { refused, added } = await log.append(
    manager,
    first.job,
    some.map(({ event }) => JSON.parse(event) as JobEvent),
    { trust: 'import', updated: new Date().toISOString() },
  );
  await manager.query(
    'DELETE FROM staged_event WHERE import = ? AND place IN (SELECT value FROM json_each(?))',
    [id, JSON.stringify(some.map(({ place }) => place))],
  );
  return { rows: some.length, joined: added, left: refused.length };
}

async function showJobs(manager: EntityManager, { id, rows }: Part): Promise<Turned> {
  await manager.query(
    `UPDATE job SET import = NULL, updated = coalesce((SELECT at FROM job_event WHERE row = job.cursor), updated)
     WHERE id IN (SELECT id FROM job WHERE import = ? LIMIT ?)`,
    [id, rows],
  );
  return { rows: await changes(manager) };
}

/** Entries, each in the place of the one with its id, if there is one. */
async function showEntries(manager: EntityManager, { id, rows }: Part): Promise<Turned> {
  const next = (await manager.query(
    'SELECT row, id FROM library_entry WHERE import = ? ORDER BY row LIMIT ?',
    [id, rows],
  )) as { row: number; id: string }[];
  if (next.length === 0) return { rows: 0 };
  await manager.query(
    'DELETE FROM library_entry WHERE import IS NULL AND id IN (SELECT value FROM json_each(?))',
    [JSON.stringify(next.map((entry) => entry.id))],
  );
  const changed = await changes(manager);
  await manager.query(
    'UPDATE library_entry SET import = NULL WHERE row IN (SELECT value FROM json_each(?))',
    [JSON.stringify(next.map(({ row }) => row))],
  );
  return { rows: next.length, entries: next.length, changed };
}

async function changes(manager: EntityManager): Promise<number> {
  const [{ n }] = (await manager.query('SELECT changes() AS n')) as [{ n: number }];
  return n;
}

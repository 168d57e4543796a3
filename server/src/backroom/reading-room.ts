import type { DerivedSummary, Job, JobShare, JobSummary, JobWithEvents, Shop } from '@which-way/contract';
import { FILE_VERSION, shopOfToday, type JobFile } from '@which-way/core/formats';
import type { JobAbout } from '@which-way/core/log';
import { ROUTE_ENGINE } from '@which-way/core/route';
import type { SimulatedSwitch } from '@which-way/core/simulated';
import type { JobId } from '@which-way/core/switch';
import Database from 'libsql';
import { existsSync } from 'node:fs';
import { ANY_ID } from './any-id.js';
import { LibraryShelf } from './library-shelf.js';
import { readStored, type StoredEvent } from './stored-event.js';
import { workOut, type WorkedOut } from './summary.js';

/** A job as a row of the table. */
interface StoredJob {
  id: string;
  number: number;
  title: string;
  place: string;
  out_of_machine: number;
  simulation: string | null;
  created: string;
  updated: string;
  version: number;
  archived: number;
  about: JobAbout;
  cursor: number;
}

/** Jobs and events whose summaries a list works out at once; the others are shown as they were, marked. */
const AT_ONCE = { jobs: 2, events: 700 };

/** What stands in an entry that is being taken in, and is not to be seen yet. */
const VISIBLE = 'import IS NULL';

/**
 * The reading side of the store: a connection of its own that cannot write. It lives in a worker thread, so that nothing it
 * takes time over keeps a reading from being saved. Answers are JSON already: the main thread passes them on as they are.
 */
export class ReadingRoom {
  readonly #database: Database.Database;
  /** The library. */
  readonly shelf: LibraryShelf;

  constructor(path: string) {
    // The driver would make a missing file, whatever it is told.
    if (!existsSync(path)) throw new Error(`there is no database at ${path}`);
    this.#database = new Database(path);
    this.#database.exec('PRAGMA query_only = ON');
    this.#database.exec('PRAGMA busy_timeout = 2000');
    this.shelf = new LibraryShelf(this.#database);
  }

  close(): void {
    this.#database.close();
  }

  #all<Row>(sql: string, ...values: (string | number)[]): Row[] {
    return this.#database.prepare(sql).all(...values) as Row[];
  }

  /** The list on the bench, newest first; with the summaries that had to be worked out, and the jobs whose are still old. */
  bench(search: string, archived: boolean): { json: string; fresh: WorkedOut[]; stale: string[] } {
    const rows = this.#all<StoredJob & Partial<WorkedOut>>(
      `SELECT job.*, s.cursor AS seen, s.version AS seen_version, s.engine, s.body, s.found
       FROM job LEFT JOIN job_summary s ON s.job_id = job.id
       WHERE job.${VISIBLE} AND job.archived = ? ORDER BY job.number DESC`,
      archived ? 1 : 0,
    ) as (StoredJob & { seen: number | null; seen_version: number | null } & Partial<WorkedOut>)[];
    const fresh: WorkedOut[] = [];
    const stale: string[] = [];
    const isOld = (row: (typeof rows)[number]) =>
      row.seen !== row.cursor || row.seen_version !== row.version || row.engine !== ROUTE_ENGINE;
    // A few are worked out while somebody waits; of many none, or everybody waits.
    const left = rows.filter(isOld).length > AT_ONCE.jobs ? { jobs: 0, events: 0 } : { ...AT_ONCE };
    const words = search.toLowerCase().split(/\s+/).filter(Boolean);
    const list: JobSummary[] = [];
    for (const row of rows) {
      let { body, found } = row;
      const old = isOld(row);
      let marked = old;
      // What another version wrote down may say what this one has no words for.
      let isOurs = row.engine === ROUTE_ENGINE;
      if (old && left.jobs > 0 && left.events > 0) {
        const worked = this.#workOut(row);
        left.jobs -= 1;
        left.events -= worked.events;
        fresh.push(worked.summary);
        ({ body, found } = worked.summary);
        marked = false;
        isOurs = true;
      } else if (old) stale.push(row.id);
      const text = found ?? `${row.number} ${row.title} ${row.place}`.toLowerCase();
      if (!words.every((word) => text.includes(word))) continue;
      const derived =
        body && isOurs
          ? (JSON.parse(body) as DerivedSummary)
          : { route: null, settingName: null, trouble: null };
      list.push({ ...toJob(row), ...derived, stale: marked });
    }
    return { json: JSON.stringify(list), fresh, stale };
  }

  /** Works out the summaries of some jobs; those that are gone are left out. */
  summaries(ids: readonly string[]): WorkedOut[] {
    return ids.flatMap((id) => {
      const row = this.#job(id);
      return row ? [this.#workOut(row).summary] : [];
    });
  }

  #workOut(row: StoredJob): { summary: WorkedOut; events: number } {
    let events = 0;
    const of = { ...row, outOfMachine: row.out_of_machine === 1 };
    const summary = workOut(of, () => {
      const stored = this.#events(row.id, 0);
      events = stored.length;
      return readStored(stored);
    });
    return { summary, events };
  }

  #job(id: string): StoredJob | null {
    return this.#all<StoredJob>(`SELECT * FROM job WHERE id = ? AND ${VISIBLE}`, id)[0] ?? null;
  }

  #events(jobId: string, after: number): StoredEvent[] {
    return this.#all('SELECT * FROM job_event WHERE job_id = ? AND row > ? ORDER BY row', jobId, after);
  }

  /** A job with its log after a cursor; null when there is none. */
  open(id: string, after: number): JobWithEvents | null {
    const row = this.#job(id);
    if (!row) return null;
    const stored = this.#events(id, after);
    return { job: toJob(row), ...readStored(stored), cursor: stored.at(-1)?.row ?? after };
  }

  /** The job with its log as JSON, null where there is none; `gone` is when it was deleted, if it was. */
  job(id: string, after: number): { json: string | null; gone: string | null } {
    const opened = this.open(id, after);
    if (opened) return { json: JSON.stringify(opened), gone: null };
    return { json: null, gone: this.deletedWhen(id) };
  }

  /** When a job was deleted; null: it was not. */
  deletedWhen(id: string): string | null {
    const [tomb] = this.#all<{ deleted: string }>('SELECT deleted FROM tombstone WHERE job_id = ?', id);
    return tomb?.deleted ?? null;
  }

  /** Which of these jobs were deleted. */
  deletedOf(ids: readonly string[]): string[] {
    return this.#all<{ id: string }>(
      'SELECT job_id AS id FROM tombstone WHERE job_id IN (SELECT value FROM json_each(?))',
      JSON.stringify(ids),
    ).map(({ id }) => id);
  }

  /** Which of these photos an event of any job names, one that is being taken in too. */
  namedPhotos(ids: readonly string[]): string[] {
    const left = new Set(ids);
    const named = new Set<string>();
    const look = (sql: string) => {
      for (const row of this.#database.prepare(sql).iterate() as IterableIterator<{ text: string }>) {
        for (const [id] of row.text.matchAll(ANY_ID)) if (left.has(id)) named.add(id);
        if (named.size === left.size) return;
      }
    };
    if (left.size === 0) return [];
    look('SELECT what AS text FROM job_event');
    look('SELECT event AS text FROM staged_event');
    look('SELECT body AS text FROM library_entry');
    return [...named];
  }

  /** Ids of all jobs, put away or not, by number. */
  jobIds(): string[] {
    return this.#all<{ id: string }>(`SELECT id FROM job WHERE ${VISIBLE} ORDER BY number`).map(
      ({ id }) => id,
    );
  }

  /** A job as it stands in a file: what can be read of it; null when there is none. */
  jobFile(id: string): JobFile | null {
    const opened = this.open(id, 0);
    if (!opened) return null;
    const { title, place, outOfMachine, simulation, created, about } = opened.job;
    const head = { id: id as JobId, title, place, outOfMachine, simulation, created };
    return { ...head, ...(about === 'system' ? { about } : {}), events: opened.events };
  }

  /** One job as a file of its own. */
  exportJob(id: string): string | null {
    const job = this.jobFile(id);
    return (
      job &&
      JSON.stringify({ format: 'which-way', version: FILE_VERSION, shop: null, jobs: [job], library: [] })
    );
  }

  /** A small thing that the shop keeps, by its key. */
  note(key: string): string | null {
    return this.#all<{ value: string }>('SELECT value FROM note WHERE key = ?', key)[0]?.value ?? null;
  }

  /** The link to a job, ended by time or not; null without one. */
  linkOf(job: string): JobShare | null {
    return this.#all<JobShare>('SELECT token, until FROM link WHERE job_id = ?', job)[0] ?? null;
  }

  jobOfLink(token: string): { job: string; until: string } | null {
    const rows = this.#all<{ job: string; until: string }>(
      'SELECT job_id AS job, until FROM link WHERE token = ?',
      token,
    );
    return rows[0] ?? null;
  }

  shop(): Omit<Shop, 'version'> | null {
    const kept = this.note('shop');
    if (kept === null) return null;
    const { name, safetyLists, codeNotes, meters } = shopOfToday(JSON.parse(kept)) as Shop;
    return { name, safetyLists, codeNotes, meters };
  }

  /** The number of the last event; 0 before the first. */
  lastRow(): number {
    return this.#all<{ last: number | null }>('SELECT max(row) AS last FROM job_event')[0]?.last ?? 0;
  }

  countJobs(): number {
    return this.#all<{ count: number }>('SELECT count(*) AS count FROM job')[0]?.count ?? 0;
  }

  /** Which of these ids stand in a table; `job_event` or `job`. */
  known(table: 'job' | 'job_event', ids: readonly string[]): Set<string> {
    const found = this.#all<{ id: string }>(
      `SELECT id FROM ${table} WHERE id IN (SELECT value FROM json_each(?))`,
      JSON.stringify(ids),
    );
    return new Set(found.map(({ id }) => id));
  }

  /** Which of these writers' numbers are taken in their jobs, as 'job device sequence'. */
  numbersTaken(events: readonly { jobId: string; writer: string }[]): Set<string> {
    const rows = this.#all<{ key: string }>(
      `SELECT e.job_id || ' ' || e.device || ' ' || e.sequence AS key FROM job_event e
       WHERE (e.job_id, e.device, e.sequence) IN (
         SELECT json_extract(value, '$[0]'), json_extract(value, '$[1]'), json_extract(value, '$[2]') FROM json_each(?))`,
      JSON.stringify(
        events.map(({ jobId, writer }) => {
          const [device, sequence] = writer.split(' ');
          return [jobId, device, Number(sequence)];
        }),
      ),
    );
    return new Set(rows.map(({ key }) => key));
  }

  /** Events of a job by their ids, as they are stored. */
  stored(ids: readonly string[]): Map<string, StoredEvent> {
    const rows = this.#all<StoredEvent>(
      'SELECT * FROM job_event WHERE id IN (SELECT value FROM json_each(?))',
      JSON.stringify(ids),
    );
    return new Map(rows.map((row) => [row.id, row]));
  }
}

/** A row as the job that travels. Simulations were checked when they were stored. */
export function toJob(row: StoredJob): Job {
  return {
    id: row.id as JobId,
    number: row.number,
    title: row.title,
    place: row.place,
    outOfMachine: row.out_of_machine === 1,
    simulation: row.simulation === null ? null : (JSON.parse(row.simulation) as SimulatedSwitch),
    created: row.created,
    updated: row.updated,
    archived: row.archived === 1,
    about: row.about,
    version: row.version,
  };
}

import Database from 'libsql';
import { rmSync } from 'node:fs';

/** A piece of a file that was looked through, ready to be written. */
export type StagedRow =
  | { kind: 'job'; id: string; head: string; there: boolean }
  | { kind: 'event'; job: string; there: boolean; body: string }
  | { kind: 'entry'; id: string; body: string };

/**
 * A file that is being looked through, as a database of its own beside it: so that it may be of any size, and a piece that is
 * there twice is found.
 */
export class StagedFile {
  readonly #database: Database.Database;
  #after = { job: -1, event: -1, entry: -1 };

  constructor(private readonly path: string) {
    this.#remove();
    this.#database = new Database(path);
    this.#database.exec(`PRAGMA journal_mode = OFF; PRAGMA synchronous = OFF;
      CREATE TABLE job (place INTEGER PRIMARY KEY, id TEXT UNIQUE, head TEXT, there INTEGER);
      CREATE TABLE event (place INTEGER PRIMARY KEY, job INTEGER NOT NULL, number INTEGER NOT NULL, id TEXT UNIQUE,
        writer TEXT, body TEXT, UNIQUE (job, writer));
      CREATE TABLE entry (place INTEGER PRIMARY KEY, number INTEGER NOT NULL, id TEXT UNIQUE, body TEXT);
      BEGIN`);
  }

  #run(sql: string, ...values: (string | number | null)[]): number {
    return this.#database.prepare(sql).run(...values).changes;
  }

  #all<Row>(sql: string, ...values: (string | number)[]): Row[] {
    return this.#database.prepare(sql).all(...values) as Row[];
  }

  addJob(place: number, id: string, head: string, there: boolean): boolean {
    return this.#run('INSERT OR IGNORE INTO job VALUES (?, ?, ?, ?)', place, id, head, there ? 1 : 0) > 0;
  }

  /** False where its id, or its number of that device in the job, is there already. */
  addEvent(
    job: number,
    number: number,
    { id, writer, body }: { id: string; writer: string; body: string },
  ): boolean {
    return (
      this.#run(
        'INSERT OR IGNORE INTO event (job, number, id, writer, body) VALUES (?, ?, ?, ?, ?)',
        job,
        number,
        id,
        writer,
        body,
      ) > 0
    );
  }

  addEntry(number: number, id: string, body: string): boolean {
    return this.#run('INSERT OR IGNORE INTO entry (number, id, body) VALUES (?, ?, ?)', number, id, body) > 0;
  }

  dropJob(job: number): number {
    this.#run('DELETE FROM job WHERE place = ?', job);
    return this.#run('DELETE FROM event WHERE job = ?', job);
  }

  /** Drops a job by its id, with its events. */
  dropJobOf(id: string): void {
    for (const { place } of this.#all<{ place: number }>('SELECT place FROM job WHERE id = ?', id))
      this.dropJob(place);
  }

  dropEvent(id: string): void {
    this.#run('DELETE FROM event WHERE id = ?', id);
  }

  entry(id: string): string | null {
    return this.#all<{ body: string }>('SELECT body FROM entry WHERE id = ?', id)[0]?.body ?? null;
  }

  dropEntry(id: string): void {
    this.#run('DELETE FROM entry WHERE id = ?', id);
  }

  /** Events of jobs that are there already, a stretch at a time, with their place in the file. */
  *eventsOfKnownJobs(): Generator<
    { id: string; body: string; job: number; number: number; jobId: string; writer: string }[]
  > {
    let place = -1;
    for (;;) {
      const rows = this.#all<{
        place: number;
        id: string;
        body: string;
        job: number;
        number: number;
        jobId: string;
        writer: string;
      }>(
        `SELECT e.place, e.id, e.body, e.job, e.number, e.writer, j.id AS jobId FROM event e JOIN job j ON j.place = e.job
         WHERE e.place > ? ORDER BY e.place LIMIT 400`,
        place,
      );
      if (rows.length === 0) return;
      place = rows.at(-1)?.place ?? place;
      yield rows;
    }
  }

  count(table: 'job' | 'event' | 'entry', where = '1'): number {
    return this.#all<{ n: number }>(`SELECT count(*) AS n FROM ${table} WHERE ${where}`)[0]?.n ?? 0;
  }

  /** The next pieces, of about so many bytes: first jobs, then their events in order, then entries; null at the end. */
  nextRows(bytes: number): StagedRow[] | null {
    const rows: StagedRow[] = [];
    let size = 0;
    const take = <Row extends { place: number }>(
      table: 'job' | 'event' | 'entry',
      sql: string,
      make: (row: Row) => StagedRow,
    ) => {
      while (size < bytes) {
        const stretch = this.#all<Row>(`${sql} LIMIT 64`, this.#after[table]);
        if (stretch.length === 0) return;
        for (const row of stretch) {
          const made = make(row);
          rows.push(made);
          // A job costs some statements, however short it is.
          size += 'body' in made ? made.body.length : 4000;
          this.#after[table] = row.place;
          if (size >= bytes) return;
        }
      }
    };
    type Job = { place: number; id: string; head: string; there: number };
    type Event = { place: number; jobId: string; there: number; body: string };
    type Entry = { place: number; id: string; body: string };
    take<Job>('job', 'SELECT * FROM job WHERE place > ? ORDER BY place', ({ id, head, there }) => ({
      kind: 'job',
      id,
      head,
      there: there === 1,
    }));
    take<Event>(
      'event',
      `SELECT e.place, j.id AS jobId, j.there, e.body FROM event e JOIN job j ON j.place = e.job
       WHERE e.place > ? ORDER BY e.place`,
      ({ jobId, there, body }) => ({ kind: 'event', job: jobId, there: there === 1, body }),
    );
    take<Entry>(
      'entry',
      'SELECT place, id, body FROM entry WHERE place > ? ORDER BY place',
      ({ id, body }) => ({
        kind: 'entry',
        id,
        body,
      }),
    );
    return rows.length > 0 ? rows : null;
  }

  close(): void {
    this.#database.close();
    this.#remove();
  }

  #remove(): void {
    for (const ending of ['', '-journal', '-wal', '-shm']) rmSync(this.path + ending, { force: true });
  }
}

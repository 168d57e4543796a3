import type { Imported } from '@which-way/contract';
import type { JobFile, ShopFile } from '@which-way/core/formats';
import type { JobEvent } from '@which-way/core/log';
import type { KnownSwitch } from '@which-way/core/switch';
import type { EntityManager } from 'typeorm';
import { writeNote, readNote } from '../database/note.js';
import type { Writer } from '../database/writer.js';
import { Refusal } from '../errors/refusal.js';
import { EventLog } from '../jobs/event-log.js';
import { insertJob } from '../jobs/insert-job.js';
import { insertEntry } from '../library/insert-entry.js';
import type { StagedRow } from './staged-file.js';

/** Milliseconds of work that one turn should take, and the bytes of rows that the first one is given. */
const TURN_MS = 40;
const FIRST_TURN = 60_000;
const TURN_RANGE = { least: 8_000, most: 600_000 };

/**
 * Takes the rows of a file in, turn by turn, so that a reading is never kept waiting by more than one. Until the last write
 * nobody sees any of it; with that all of it is there. Taken back, or the server killed, nothing is.
 */
export class Taker {
  readonly #done: Imported = {
    jobsAdded: 0,
    jobsMerged: 0,
    eventsAdded: 0,
    entriesAdded: 0,
    entriesChanged: 0,
    photosAdded: 0,
    shopTaken: false,
  };
  readonly #joined: string[] = [];
  #place = 0;
  /** Bytes of rows for the next turn, by how long the last one took: machines and rows differ. */
  turnBytes = FIRST_TURN;

  constructor(
    private readonly writer: Writer,
    private readonly log: EventLog,
    /** Names this import in every row that it brings. */
    readonly id: string,
  ) {}

  /** Writes a few rows, hidden. */
  add(rows: readonly StagedRow[]): Promise<void> {
    return this.writer.write(async (manager) => {
      const began = performance.now();
      const fresh = new Map<string, JobEvent[]>();
      for (const row of rows) {
        if (row.kind === 'job') await this.#job(manager, row);
        else if (row.kind === 'entry')
          await insertEntry(manager, JSON.parse(row.body) as KnownSwitch, this.id);
        else if (row.there) await this.#stage(manager, row.job, row.body);
        else {
          const events = fresh.get(row.job) ?? [];
          events.push(JSON.parse(row.body) as JobEvent);
          fresh.set(row.job, events);
        }
      }
      for (const [job, events] of fresh) {
        const { refused, added } = await this.log.append(manager, job, events, 'import');
        if (refused[0]) throw new Refusal(409, refused[0].error);
        this.#done.eventsAdded += added;
      }
      this.#pace(performance.now() - began);
    }, 'batch');
  }

  #pace(milliseconds: number): void {
    const wanted = (this.turnBytes * TURN_MS) / Math.max(milliseconds, 1);
    const careful = Math.min(wanted, this.turnBytes * 1.5);
    this.turnBytes = Math.round(Math.min(TURN_RANGE.most, Math.max(TURN_RANGE.least, careful)));
  }

  async #job(
    manager: EntityManager,
    { id, head, there }: Extract<StagedRow, { kind: 'job' }>,
  ): Promise<void> {
    if (there) {
      this.#joined.push(id);
      this.#done.jobsMerged += 1;
      return;
    }
    await insertJob(manager, { ...(JSON.parse(head) as Omit<JobFile, 'events'>), import: this.id });
    this.#done.jobsAdded += 1;
  }

  async #stage(manager: EntityManager, job: string, body: string): Promise<void> {
    this.#place += 1;
    await manager.query('INSERT INTO staged_event (import, place, job_id, event) VALUES (?, ?, ?, ?)', [
      this.id,
      this.#place,
      job,
      body,
    ]);
  }

  /** The last write: all of it is seen from now on. */
  finish(shop: ShopFile | null, photos: number): Promise<{ imported: Imported; lastRow: number }> {
    return this.writer.write(async (manager) => {
      for (const job of this.#joined) await this.#join(manager, job);
      const id = [this.id];
      await manager.query(
        `UPDATE job SET import = NULL, updated = coalesce((SELECT at FROM job_event WHERE row = job.cursor), updated)
         WHERE import = ?`,
        id,
      );
      const replaced = 'import IS NULL AND id IN (SELECT id FROM library_entry WHERE import = ?)';
      const [{ n: all }] = (await manager.query(
        'SELECT count(*) AS n FROM library_entry WHERE import = ?',
        id,
      )) as [{ n: number }];
      const [{ n: changed }] = (await manager.query(
        `SELECT count(*) AS n FROM library_entry WHERE ${replaced}`,
        id,
      )) as [{ n: number }];
      await manager.query(`DELETE FROM library_entry WHERE ${replaced}`, id);
      await manager.query('UPDATE library_entry SET import = NULL WHERE import = ?', id);
      await manager.query('DELETE FROM staged_event WHERE import = ?', id);
      if (shop) await this.#takeShop(manager, shop);
      const [{ last }] = (await manager.query('SELECT max(row) AS last FROM job_event')) as [
        { last: number | null },
      ];
      const imported = {
        ...this.#done,
        entriesAdded: all - changed,
        entriesChanged: changed,
        photosAdded: photos,
        shopTaken: shop !== null,
      };
      return { imported, lastRow: last ?? 0 };
    }, 'batch');
  }

  /** Events for a job that was there before: appended as if they came now, so that open pages hear of them. */
  async #join(manager: EntityManager, job: string): Promise<void> {
    const rows = (await manager.query(
      'SELECT event FROM staged_event WHERE import = ? AND job_id = ? ORDER BY place',
      [this.id, job],
    )) as { event: string }[];
    if (rows.length === 0) return;
    const events = rows.map(({ event }) => JSON.parse(event) as JobEvent);
    const { refused, added } = await this.log.append(manager, job, events, 'import');
    const [first] = refused;
    if (first) throw new Refusal(409, first.error);
    this.#done.eventsAdded += added;
    await manager.query('UPDATE job SET updated = ? WHERE id = ?', [new Date().toISOString(), job]);
  }

  async #takeShop(manager: EntityManager, shop: ShopFile): Promise<void> {
    const kept = await readNote(manager, 'shop');
    const version = kept === null ? 0 : (JSON.parse(kept) as { version: number }).version;
    await writeNote(manager, 'shop', JSON.stringify({ version: version + 1, ...shop }));
  }

  get joined(): readonly string[] {
    return this.#joined;
  }

  /** Takes back what was written so far. */
  takeBack(): Promise<void> {
    return takeBack(this.writer, 'import = ?', this.id);
  }
}

/** Clears away what unfinished imports left: at the start, those of a server that was killed. */
export async function takeBack(writer: Writer, where: string, ...values: string[]): Promise<void> {
  const pieces = [
    `DELETE FROM job_event WHERE row IN (SELECT e.row FROM job_event e JOIN job j ON j.id = e.job_id WHERE j.${where} LIMIT 3000)`,
    `DELETE FROM job WHERE id IN (SELECT id FROM job WHERE ${where} LIMIT 500)`,
    `DELETE FROM library_entry WHERE row IN (SELECT row FROM library_entry WHERE ${where} LIMIT 500)`,
    `DELETE FROM staged_event WHERE (import, place) IN (SELECT import, place FROM staged_event WHERE ${where} LIMIT 3000)`,
  ];
  for (const sql of pieces) {
    for (let changes = 1; changes > 0;)
      changes = await writer.write(async (manager) => {
        await manager.query(sql, values);
        const [{ n }] = (await manager.query('SELECT changes() AS n')) as [{ n: number }];
        return n;
      }, 'batch');
  }
}

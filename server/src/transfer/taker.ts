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
import { showImport } from './show-import.js';
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
    eventsLeft: 0,
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
        const { refused, added } = await this.log.append(manager, job, events, { trust: 'import' });
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
    // A job that was deleted here and is wanted again: what comes late for it is no news of a deleted one any more.
    await manager.query('DELETE FROM tombstone WHERE job_id = ?', [id]);
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

  /** Decides that all of it is taken in: from now on it is finished, by a server that is started anew if need be. */
  decide(shop: ShopFile | null): Promise<void> {
    return this.writer.write(async (manager) => {
      await manager.query('INSERT INTO import_decided (import) VALUES (?)', [this.id]);
      if (shop) await this.#takeShop(manager, shop);
    }, 'batch');
  }

  /** Shows all of it, turn by turn: with 100,000 entries one turn would keep readings waiting for seconds. */
  async show(besides: Pick<Imported, 'photosAdded' | 'shopTaken'>): Promise<Imported> {
    const { joined, left, changed, entries } = await showImport(this.writer, this.log, this.id);
    const { eventsAdded } = this.#done;
    return {
      ...this.#done,
      ...besides,
      eventsLeft: left,
      eventsAdded: eventsAdded + joined,
      entriesAdded: entries - changed,
      entriesChanged: changed,
    };
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

import { Injectable, Logger } from '@nestjs/common';
import { Backroom } from '../backroom/backroom.js';
import type { WorkedOut } from '../backroom/summary.js';
import { Writer } from '../database/writer.js';
import { Live } from '../live/live.js';

/** Jobs worked out at a time in the worker, and stored in one turn. */
const AT_A_TIME = 8;
/** Milliseconds that a job is left alone after it went on: somebody is probing. */
const REST_MS = 600;

/** Keeps what the bench shows of each job, and has old ones worked out anew in the worker. */
@Injectable()
export class Summaries {
  readonly #log = new Logger('summaries');
  readonly #old = new Set<string>();
  #busy = false;

  constructor(
    private readonly backroom: Backroom,
    private readonly writer: Writer,
    private readonly live: Live,
  ) {}

  /** Stores summaries that were worked out. A failure loses nothing: they are worked out again when they are asked for. */
  keep(fresh: readonly WorkedOut[]): void {
    if (fresh.length > 0) this.#store(fresh).catch((error: unknown) => this.#log.warn(String(error)));
  }

  /** Has these worked out anew, some time soon. */
  redo(ids: readonly string[]): void {
    for (const id of ids) this.#old.add(id);
    if (this.#busy || this.#old.size === 0) return;
    this.#busy = true;
    setTimeout(() => void this.#goOn(), REST_MS).unref();
  }

  async #goOn(): Promise<void> {
    let some = 0;
    try {
      while (this.#old.size > 0) {
        const ids = [...this.#old].slice(0, AT_A_TIME);
        for (const id of ids) this.#old.delete(id);
        const fresh = await this.backroom.long((desk) => desk.summaries(ids));
        await this.#store(fresh);
        some += fresh.length;
      }
    } catch (error) {
      this.#log.warn(String(error));
    } finally {
      this.#busy = false;
      if (some > 0) this.live.bench();
    }
  }

  #store(fresh: readonly WorkedOut[]): Promise<void> {
    return this.writer.write(async (manager) => {
      for (const { jobId, cursor, version, engine, body, found } of fresh)
        await manager.query(
          `INSERT INTO job_summary (job_id, cursor, version, engine, body, found)
           SELECT ?1, ?2, ?3, ?4, ?5, ?6 WHERE EXISTS (SELECT 1 FROM job WHERE id = ?1)
           ON CONFLICT (job_id) DO UPDATE SET cursor = ?2, version = ?3, engine = ?4, body = ?5, found = ?6
           WHERE excluded.cursor >= job_summary.cursor`,
          [jobId, cursor, version, engine, body, found],
        );
    }, 'batch');
  }
}

import { Injectable, Logger, type BeforeApplicationShutdown } from '@nestjs/common';
import type Database from 'libsql';
import { DataSource, type EntityManager } from 'typeorm';
import { Refusal, refused } from '../errors/refusal.js';
import { Footing } from './footing.js';
import { WRITER_TEXT } from '@which-way/words/server/database/writer';

/**
 * How long a turn may wait: a `reading` is what somebody at the bench waits for; a `batch` is a piece of long work, of at
 * most some 50 ms, and every reading goes before the next one.
 */
export type Rank = 'reading' | 'batch';

interface Turn {
  run: () => Promise<void>;
}

/**
 * The one writer of the server. Nobody else begins, commits or rolls back: SQLite rolls back by itself when the disk is
 * full, and whoever does not look then goes on in a transaction that is none, or in one that is never committed. So after
 * each end the connection is asked whether it is still in a transaction; where that cannot be put right, everything further
 * is refused, with the reason, and the server ends.
 */
@Injectable()
export class Writer implements BeforeApplicationShutdown {
  readonly #log = new Logger('writer');
  readonly #waiting: Record<Rank, Turn[]> = { reading: [], batch: [] };
  #busy = false;
  #broken: string | null = null;
  #closing = false;
  /** Called once, when nothing can be written any more. */
  onBroken: (reason: string) => void = () => undefined;

  constructor(
    private readonly source: DataSource,
    private readonly footing: Footing,
  ) {}

  /**
   * Runs `work` in a transaction of its own. Check and stage before asking for a turn: `work` waits for nothing but the
   * database. What it returns is on the disk when the promise resolves; when it rejects, nothing of it is.
   */
  write<Result>(work: (manager: EntityManager) => Promise<Result>, rank: Rank = 'reading'): Promise<Result> {
    return this.#turn(rank, () => this.#transaction(work));
  }

  /** Runs `work` while nobody writes, outside of any transaction: to put another database in the place of this one. */
  alone<Result>(work: () => Promise<Result>): Promise<Result> {
    return this.#turn('reading', work);
  }

  /** Moves all of the write-ahead log into the database and empties it; false where somebody still reads an older state. */
  emptyLog(): Promise<boolean> {
    return this.alone(async () => {
      if (this.#closing || this.#broken !== null || !this.source.isInitialized) return true;
      const rows = this.#connection.prepare('PRAGMA wal_checkpoint(TRUNCATE)').all() as { busy: number }[];
      return rows[0]?.busy === 0;
    });
  }

  /** From here on nothing is written any more: the connection is about to be closed. What is being written is finished. */
  async beforeApplicationShutdown(): Promise<void> {
    await this.alone(async () => {
      this.#closing = true;
    });
  }

  #turn<Result>(rank: Rank, work: () => Promise<Result>): Promise<Result> {
    return new Promise((resolve, reject) => {
      this.#waiting[rank].push({ run: () => work().then(resolve, reject) });
      void this.#goOn();
    });
  }

  async #goOn(): Promise<void> {
    if (this.#busy) return;
    this.#busy = true;
    for (;;) {
      const batch = this.#waiting.reading.length === 0;
      const turn = this.#waiting.reading.shift() ?? this.#waiting.batch.shift();
      if (!turn) break;
      await turn.run();
      // What came in over the network while a batch was written is heard before the next one.
      if (batch) await new Promise((resolve) => setImmediate(resolve));
    }
    this.#busy = false;
  }

  async #transaction<Result>(work: (manager: EntityManager) => Promise<Result>): Promise<Result> {
    if (this.#broken !== null) throw refusal(this.#broken);
    // The driver ends the whole process when a connection is used that is closed.
    if (this.#closing || !this.source.isInitialized) throw refusal(WRITER_TEXT.itIsBeingStopped);
    const connection = this.#connection;
    if (connection.inTransaction) this.#rollBack(connection);
    connection.exec('BEGIN IMMEDIATE');
    try {
      const result = await work(this.source.manager);
      connection.exec('COMMIT');
      if (connection.inTransaction) throw new Error('the transaction was committed and is still open');
      this.standsWhereItStood();
      return result;
    } catch (error) {
      this.#rollBack(connection);
      throw error;
    }
  }

  /**
   * To be asked before anything is called stored: a folder or a database that was moved aside while the server runs still takes
   * writes, and nobody would find them. Then everything is refused from here on, and the server ends.
   * @throws Refusal
   */
  standsWhereItStood(): void {
    const lost = this.footing.lost();
    if (lost === null) return;
    this.#break(WRITER_TEXT.wasMovedRemovedOrReplaced(lost));
  }

  #break(reason: string): never {
    const first = this.#broken === null;
    this.#broken ??= reason;
    if (first) this.onBroken(this.#broken);
    throw refusal(this.#broken);
  }

  /** Ends the transaction, if there still is one. */
  #rollBack(connection: Database.Database): void {
    if (!connection.inTransaction) return;
    try {
      connection.exec('ROLLBACK');
    } catch (error) {
      this.#log.error(WRITER_TEXT.rollbackFailed(String(error)));
    }
    if (!connection.inTransaction) return;
    this.#break(WRITER_TEXT.aChangeCouldNeitherBe);
  }

  /** The driver's own connection, which the ORM shares among all that use it. */
  get #connection(): Database.Database {
    return (this.source.driver as unknown as { databaseConnection: Database.Database }).databaseConnection;
  }
}

const refusal = (reason: string): Refusal => refused(503, 'store-broken', { reason });

import { Injectable } from '@nestjs/common';
import { DataSource, type EntityManager } from 'typeorm';

/**
 * Writes go one after another: the SQLite driver shares one connection, so two open transactions would mix.
 * Validate and stage before asking for a turn; a turn is one short transaction.
 */
@Injectable()
export class OneAtATime {
  #last: Promise<unknown> = Promise.resolve();

  constructor(private readonly source: DataSource) {}

  /** Runs `work` in a transaction of its own when those before it are done. */
  write<Result>(work: (manager: EntityManager) => Promise<Result>): Promise<Result> {
    const turn = this.#last.then(() => this.source.transaction(work));
    this.#last = turn.catch(() => undefined);
    return turn;
  }
}

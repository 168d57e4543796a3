import { Injectable, Logger, type OnApplicationShutdown } from '@nestjs/common';
import { wrap, type Remote } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import type { Worker } from 'node:worker_threads';
import { Refusal } from '../errors/refusal.js';
import type { BackroomDesk } from './backroom.worker.js';
import { leave, startWorker } from './start-worker.js';

/** A question that has no answer yet. */
interface Question {
  /** Called when the worker ends. */
  end(reason: Error): void;
  /** Ends the work that it asks for, when set; shared with the worker. */
  flag: SharedArrayBuffer | null;
}

/** What each worker is for. */
type Bench = 'reading' | 'long' | 'backup' | 'report';

interface Manned {
  worker: Worker;
  desk: Remote<BackroomDesk>;
  /** An answer takes its question away, so that nothing is kept of it. */
  unanswered: Set<Question>;
}

/**
 * The worker threads: one reads for the screens, one does what takes long, one makes backups, which wait for nothing, one
 * makes the reports that links show. None of them ever writes to the database. A worker that dies takes only its own questions with it; the next question starts another.
 */
@Injectable()
export class Backroom implements OnApplicationShutdown {
  readonly #log = new Logger('backroom');
  readonly #benches = new Map<Bench, Manned>();
  #closing = false;

  /**
   * @param entry the worker's built code.
   * @param reading the worker for readings, where it was started already.
   */
  constructor(
    private readonly database: string,
    private readonly entry: URL,
    reading?: Worker,
  ) {
    if (reading) this.#man('reading', reading);
  }

  /** Asks the reading worker. */
  read<Answer>(ask: (desk: Remote<BackroomDesk>) => Promise<Answer>): Promise<Answer> {
    return this.#ask('reading', ask);
  }

  /**
   * Asks the worker for long work.
   * @param flag what ends it in the middle; the server sets it too, when it stops.
   */
  long<Answer>(
    ask: (desk: Remote<BackroomDesk>) => Promise<Answer>,
    flag: SharedArrayBuffer | null = null,
  ): Promise<Answer> {
    return this.#ask('long', ask, flag);
  }

  /**
   * Asks the worker for backups.
   * @param flag as of long work.
   */
  backup<Answer>(
    ask: (desk: Remote<BackroomDesk>) => Promise<Answer>,
    flag: SharedArrayBuffer | null,
  ): Promise<Answer> {
    return this.#ask('backup', ask, flag);
  }

  /** Asks the worker for the reports that links show. */
  report<Answer>(ask: (desk: Remote<BackroomDesk>) => Promise<Answer>): Promise<Answer> {
    return this.#ask('report', ask);
  }

  /** Questions that have no answer yet. */
  get unanswered(): number {
    return [...this.#benches.values()].reduce((sum, { unanswered }) => sum + unanswered.size, 0);
  }

  /** Lets all of them go of the database; they open it again when they are asked next. */
  async letGo(): Promise<void> {
    for (const { desk } of this.#benches.values()) await desk.letGo();
  }

  onApplicationShutdown(): Promise<void> {
    return this.leave();
  }

  /** Ends the workers and what they are at; from here on nothing is asked of them. */
  async leave(): Promise<void> {
    this.#closing = true;
    const manned = [...this.#benches.values()];
    for (const { unanswered } of manned)
      for (const { flag } of unanswered) if (flag) Atomics.store(new Int32Array(flag), 0, 1);
    await Promise.all(manned.map(({ worker }) => leave(worker)));
  }

  #ask<Answer>(
    which: Bench,
    ask: (desk: Remote<BackroomDesk>) => Promise<Answer>,
    flag: SharedArrayBuffer | null = null,
  ): Promise<Answer> {
    if (this.#closing) return new Promise(() => undefined);
    const { desk, unanswered } = this.#manned(which);
    return new Promise((resolve, reject) => {
      const question: Question = { end: reject, flag };
      unanswered.add(question);
      ask(desk)
        .then(resolve, (error: unknown) => reject(refusalOf(error) ?? error))
        .finally(() => unanswered.delete(question));
    });
  }

  #manned(which: Bench): Manned {
    const there = this.#benches.get(which);
    if (there) return there;
    return this.#man(which, startWorker(this.entry, this.database, which));
  }

  #man(which: Bench, worker: Worker): Manned {
    worker.setMaxListeners(0);
    const unanswered: Manned['unanswered'] = new Set();
    worker.on('error', (error) => this.#log.error(`the ${which} worker failed: ${error.message}`));
    worker.once('exit', () => {
      this.#benches.delete(which);
      // While the server stops, nobody is there any more to hear that nothing comes.
      if (!this.#closing) for (const { end } of unanswered) end(new Error(`the ${which} worker ended`));
      unanswered.clear();
    });
    const manned = { worker, desk: wrap<BackroomDesk>(nodeEndpoint(worker)), unanswered };
    this.#benches.set(which, manned);
    return manned;
  }
}

/** A refusal that was thrown in a worker comes across as its message alone, which carries the whole of it. */
function refusalOf(error: unknown): Refusal | null {
  const message = error instanceof Error ? error.message : '';
  return Refusal.fromWire(message);
}

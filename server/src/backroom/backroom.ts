import { Injectable, Logger, type OnApplicationShutdown } from '@nestjs/common';
import { wrap, type Remote } from 'comlink';
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs';
import { Worker } from 'node:worker_threads';
import { Refusal } from '../errors/refusal.js';
import type { BackroomDesk } from './backroom.worker.js';

interface Bench {
  worker: Worker;
  desk: Remote<BackroomDesk>;
  /** Rejects when the worker ends. */
  ended: Promise<never>;
}

/**
 * The worker threads: one that reads for the screens, one that does what takes long. Neither ever writes to the database. A
 * worker that dies takes only its own questions with it; the next question starts another.
 */
@Injectable()
export class Backroom implements OnApplicationShutdown {
  readonly #log = new Logger('backroom');
  readonly #benches: { reading: Bench | null; long: Bench | null } = { reading: null, long: null };
  #closing = false;

  /** @param entry the worker's built code. */
  constructor(
    private readonly database: string,
    private readonly entry: URL,
  ) {}

  /** Asks the reading worker. */
  read<Answer>(ask: (desk: Remote<BackroomDesk>) => Promise<Answer>): Promise<Answer> {
    return this.#ask('reading', ask);
  }

  /** Asks the worker for long work. */
  long<Answer>(ask: (desk: Remote<BackroomDesk>) => Promise<Answer>): Promise<Answer> {
    return this.#ask('long', ask);
  }

  /** Lets both go of the database; they open it again when they are asked next. */
  async letGo(): Promise<void> {
    for (const bench of Object.values(this.#benches)) if (bench) await bench.desk.letGo();
  }

  async onApplicationShutdown(): Promise<void> {
    this.#closing = true;
    for (const bench of Object.values(this.#benches)) await bench?.worker.terminate();
  }

  async #ask<Answer>(
    which: 'reading' | 'long',
    ask: (desk: Remote<BackroomDesk>) => Promise<Answer>,
  ): Promise<Answer> {
    const bench = (this.#benches[which] ??= this.#start(which));
    try {
      return await Promise.race([ask(bench.desk), bench.ended]);
    } catch (error) {
      throw refusalOf(error) ?? error;
    }
  }

  #start(which: 'reading' | 'long'): Bench {
    const worker = new Worker(this.entry, {
      workerData: { database: this.database },
      name: which,
      execArgv: [],
    });
    worker.setMaxListeners(0);
    const ended = new Promise<never>((_, reject) => {
      worker.on('error', (error) => this.#log.error(`the ${which} worker failed: ${error.message}`));
      worker.once('exit', () => {
        this.#benches[which] = null;
        if (!this.#closing) reject(new Error(`the ${which} worker ended`));
      });
    });
    ended.catch(() => undefined);
    return { worker, desk: wrap<BackroomDesk>(nodeEndpoint(worker)), ended };
  }
}

/** A refusal that was thrown in a worker comes across as its message alone, which carries the whole of it. */
function refusalOf(error: unknown): Refusal | null {
  const message = error instanceof Error ? error.message : '';
  return Refusal.fromWire(message);
}

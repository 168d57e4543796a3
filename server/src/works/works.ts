import type { Work } from '@which-way/contract';
import { Injectable, Logger } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { refused } from '../errors/refusal.js';
import { errorBody } from '../errors/error-body.js';
import { Live } from '../live/live.js';

/** Work that ended stays to be looked at until so many came after it. */
const KEPT = 12;
/** Milliseconds between two words on how far it is. */
const PACE = 200;

/** What a piece of long work is given. */
export interface Worker {
  /** Its own folder, gone when the work is forgotten. */
  folder: string;
  tell(part: Partial<Work>): void;
  /** Not 0 once a person does not want it any more; shared with the worker thread. */
  flag: SharedArrayBuffer;
  /** @throws when a person does not want it any more. */
  goesOn(): void;
}

interface Kept {
  work: Work;
  folder: string;
  flag: SharedArrayBuffer;
  told: number;
}

const isCancelled = ({ flag }: Kept): boolean => Atomics.load(new Int32Array(flag), 0) !== 0;

/** Work that never waits for an import: its lane is its own. What changes the store as a whole waits for all, and all for it. */
type Lane = 'files' | 'backup';
const LANES: Record<Work['kind'], readonly Lane[]> = {
  import: ['files'],
  export: ['files'],
  backup: ['backup'],
  restore: ['files', 'backup'],
};

/** The long work of this server: one at a time in each lane, with its progress, to be cancelled; pages may come and go meanwhile. */
@Injectable()
export class Works {
  readonly #log = new Logger('works');
  readonly #kept = new Map<string, Kept>();
  readonly #last: Record<Lane, Promise<unknown>> = { files: Promise.resolve(), backup: Promise.resolve() };

  /** @param folder where works have folders of their own; what an earlier run left in it is cleared away. */
  constructor(
    private readonly folder: string,
    private readonly live: Live,
  ) {
    mkdirSync(folder, { recursive: true });
    for (const name of readdirSync(folder)) rmSync(join(folder, name), { recursive: true, force: true });
  }

  list(): Work[] {
    return [...this.#kept.values()].map(({ work }) => work);
  }

  /** A folder for work that is about to begin, for what it begins from. */
  newFolder(): { id: string; folder: string } {
    const id = randomUUID();
    const folder = join(this.folder, id);
    mkdirSync(folder);
    return { id, folder };
  }

  /** Drops a folder for which no work was begun. */
  discard(folder: string): void {
    rmSync(folder, { recursive: true, force: true });
  }

  /** Begins work; it runs when what was begun before it has ended. */
  begin(
    kind: Work['kind'],
    run: (worker: Worker) => Promise<Partial<Work>>,
    { id, folder } = this.newFolder(),
  ): Work {
    const work: Work = {
      id,
      kind,
      state: 'waiting',
      step: null,
      done: 0,
      total: 0,
      preview: null,
      imported: null,
      file: null,
      error: null,
    };
    this.#kept.set(id, { work, folder, flag: new SharedArrayBuffer(4), told: 0 });
    this.#forgetOld();
    this.#goOn(id, run);
    return this.get(id);
  }

  /** Runs work that its own request waits for: in its turn, told to nobody, its folder gone afterwards. */
  quietly<Result>(run: (worker: Worker) => Promise<Result>, { folder }: { folder: string }): Promise<Result> {
    const worker: Worker = {
      folder,
      flag: new SharedArrayBuffer(4),
      tell: () => undefined,
      goesOn: () => undefined,
    };
    return this.#inTurn(['files'], () => run(worker).finally(() => this.discard(folder)));
  }

  /** Runs work when all that was begun before it in its lanes has ended. */
  #inTurn<Result>(lanes: readonly Lane[], work: () => Promise<Result>): Promise<Result> {
    const result = Promise.all(lanes.map((lane) => this.#last[lane])).then(work);
    const ended = result.catch(() => undefined);
    for (const lane of lanes) this.#last[lane] = ended;
    return result;
  }

  /** Goes on with work that waited for a person. */
  resume(id: string, run: (worker: Worker) => Promise<Partial<Work>>): Work {
    const kept = this.#find(id);
    if (kept.work.state !== 'ready') throw refused(409, 'not-waiting', { state: kept.work.state });
    this.#tell(kept, { state: 'waiting' });
    this.#goOn(id, run);
    return kept.work;
  }

  #goOn(id: string, run: (worker: Worker) => Promise<Partial<Work>>): void {
    const kept = this.#find(id);
    const turn = async () => {
      if (isCancelled(kept)) return this.#tell(kept, { state: 'cancelled', step: null });
      this.#tell(kept, { state: 'running' });
      try {
        const end = await run({
          folder: kept.folder,
          tell: (part) => this.#tell(kept, part),
          flag: kept.flag,
          goesOn: () => {
            if (isCancelled(kept)) throw new Error('cancelled');
          },
        });
        this.#tell(kept, { state: 'done', step: null, ...end });
      } catch (error) {
        if (isCancelled(kept)) return this.#tell(kept, { state: 'cancelled', step: null });
        const [status, body] = errorBody(error);
        if (status >= 500)
          this.#log.error(error instanceof Error ? (error.stack ?? error.message) : String(error));
        this.#tell(kept, { state: 'failed', step: null, error: body });
      }
    };
    void this.#inTurn(LANES[kept.work.kind], turn);
  }

  get(id: string): Work {
    return this.#find(id).work;
  }

  folderOf(id: string): string {
    return this.#find(id).folder;
  }

  /** Asks work to end; what it did is taken back by itself. Ended work is forgotten, with its file. */
  cancel(id: string): Work {
    const kept = this.#find(id);
    Atomics.store(new Int32Array(kept.flag), 0, 1);
    const { state } = kept.work;
    if (state === 'ready') this.#tell(kept, { state: 'cancelled' });
    if (state !== 'running' && state !== 'waiting') this.#forget(kept);
    return kept.work;
  }

  #find(id: string): Kept {
    const kept = this.#kept.get(id);
    if (!kept) throw refused(404, 'not-found', { what: 'work' });
    return kept;
  }

  #tell(kept: Kept, part: Partial<Work>): void {
    const before = kept.work.state;
    kept.work = { ...kept.work, ...part };
    const now = performance.now();
    if (kept.work.state === before && now - kept.told < PACE) return;
    kept.told = now;
    this.live.work(kept.work);
  }

  #forget(kept: Kept): void {
    this.#kept.delete(kept.work.id);
    rmSync(kept.folder, { recursive: true, force: true });
  }

  #forgetOld(): void {
    const ended = [...this.#kept.values()].filter(({ work }) =>
      ['done', 'failed', 'cancelled'].includes(work.state),
    );
    for (const kept of ended.slice(0, Math.max(0, ended.length - KEPT))) this.#forget(kept);
  }
}

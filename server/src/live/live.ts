import type { MeterNow, StreamMessages, Work } from '@which-way/contract';
import { Injectable, type BeforeApplicationShutdown } from '@nestjs/common';
import { Observable, Subject, takeUntil } from 'rxjs';
import { Backroom } from '../backroom/backroom.js';

export interface StreamMessage {
  type: keyof StreamMessages;
  data: StreamMessages[keyof StreamMessages];
  /** The cursor after it, for a stream that is taken up again. */
  id?: string;
}

/** Milliseconds between words that the stream is alive, so that a proxy or a browser does not think it dead. */
const ALIVE_MS = 20_000;

/** What open pages hear as it happens: the log of the job that they have open, the bench, long work. */
@Injectable()
export class Live implements BeforeApplicationShutdown {
  readonly #ending = new Subject<void>();
  readonly #jobs = new Subject<{ job: string; gone: boolean }>();
  readonly #said = new Subject<StreamMessage>();
  #meter: MeterNow | null = null;
  /** Names this store; another name after a restore. */
  store = '';

  constructor(private readonly backroom: Backroom) {}

  /** Something of a job was stored. */
  job(job: string, gone = false): void {
    this.#jobs.next({ job, gone });
    this.bench();
  }

  bench(): void {
    this.#said.next({ type: 'bench', data: { at: new Date().toISOString() } });
  }

  /** What the meter says now: heard by every page, and by one that comes later first of all. */
  meter(now: MeterNow): void {
    this.#meter = now;
    this.#said.next({ type: 'meter', data: now });
  }

  work(work: Work): void {
    this.#said.next({ type: 'work', data: work });
  }

  /** Everything is to be loaded anew: another database stands in the place of the one before. */
  otherStore(store: string): void {
    this.store = store;
    this.#said.next({ type: 'hello', data: { store } });
    this.bench();
  }

  /** Ends all streams: the server could not stop as long as pages listen. They take it up again when it is back. */
  beforeApplicationShutdown(): void {
    this.#ending.next();
  }

  /** The stream of one page: of one job from a cursor on, if it has one open. */
  stream(job: string | null, after: number): Observable<StreamMessage> {
    return new Observable<StreamMessage>((page) => {
      let cursor = after;
      let wanted = false;
      let busy = false;
      const read = async () => {
        wanted = true;
        if (busy || job === null) return;
        busy = true;
        while (wanted && !page.closed) {
          wanted = false;
          try {
            const opened = await this.backroom.read((desk) => desk.open(job, cursor));
            if (!opened) continue;
            ({ cursor } = opened);
            const { job: changed, events } = opened;
            page.next({ type: 'log', id: String(cursor), data: { job, events, cursor, changed } });
          } catch {
            // The page asks for it itself when it saves next; a stream says nothing about failures.
          }
        }
        busy = false;
      };
      page.next({ type: 'hello', data: { store: this.store } });
      if (this.#meter && this.#meter.standing !== 'off') page.next({ type: 'meter', data: this.#meter });
      const said = this.#said.subscribe((message) => page.next(message));
      const jobs = this.#jobs.subscribe((one) => {
        if (one.job !== job) return;
        if (one.gone) page.next({ type: 'gone', data: { job } });
        else void read();
      });
      const alive = setInterval(() => page.next({ type: 'hello', data: { store: this.store } }), ALIVE_MS);
      if (job !== null) void read();
      return () => {
        said.unsubscribe();
        jobs.unsubscribe();
        clearInterval(alive);
      };
    }).pipe(takeUntil(this.#ending));
  }
}

import type { JobEvent } from '@which-way/core/log';
import { wrap, type Remote } from 'comlink';
import { HandedOver } from './handed-over.js';
import type { ReportOrder } from './report-maker.js';
import type { PaperSize } from './report-pdf.js';
import type { ReportWorker } from './report.worker.js';

/** So many events are handed over at once: a few milliseconds, and the page is drawn between. */
const AT_ONCE = 400;

/** A thread that makes reports of one job; it is handed each event once. */
export class ReportThread {
  readonly #thread = new Worker(new URL('./report.worker.ts', import.meta.url), { type: 'module' });
  readonly #remote: Remote<ReportWorker> = wrap<ReportWorker>(this.#thread);
  readonly #handedOver = new HandedOver();
  /** Ends what is asked when the thread is stopped or breaks. */
  readonly #over: Promise<never>;
  #end: (why: Error) => void = () => undefined;
  #stopped = false;

  constructor() {
    this.#over = new Promise((_, reject) => (this.#end = reject));
    this.#over.catch(() => undefined);
    this.#thread.onerror = (event) => this.#end(new Error(event.message));
  }

  async #feed(events: readonly JobEvent[]): Promise<void> {
    const { anew, fresh } = this.#handedOver.next(events);
    if (anew) await this.#remote.clear();
    for (let from = 0; from < fresh.length; from += AT_ONCE) {
      const some = fresh.slice(from, from + AT_ONCE);
      this.#handedOver.took(some);
      await this.#remote.add(some);
    }
  }

  async #page(events: readonly JobEvent[], order: ReportOrder): Promise<string> {
    await this.#feed(events);
    return this.#remote.page(order);
  }

  async #paper(events: readonly JobEvent[], order: ReportOrder, size: PaperSize): Promise<Blob> {
    await this.#feed(events);
    const bytes = await this.#remote.paper(order, size);
    return new Blob([new Uint8Array(bytes)], { type: 'application/pdf' });
  }

  /** The report as a web page in one file. */
  page(events: readonly JobEvent[], order: ReportOrder): Promise<string> {
    return Promise.race([this.#page(events, order), this.#over]);
  }

  /** The report as a PDF. */
  paper(events: readonly JobEvent[], order: ReportOrder, size: PaperSize): Promise<Blob> {
    return Promise.race([this.#paper(events, order, size), this.#over]);
  }

  /** Whether somebody stopped it. */
  get stopped(): boolean {
    return this.#stopped;
  }

  /** Ends it at once, whatever it is at: what was asked is refused. */
  stop(): void {
    this.#stopped = true;
    this.#end(new Error('stopped'));
    this.#thread.terminate();
  }
}

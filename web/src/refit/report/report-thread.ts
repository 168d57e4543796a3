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
  /** One for each question without an answer: called when the thread is stopped or breaks. An answer takes its own away. */
  readonly #unanswered = new Set<(why: Error) => void>();
  #stopped = false;

  constructor() {
    this.#thread.onerror = (event) => this.#end(new Error(event.message));
    this.#thread.onmessageerror = () => this.#end(new Error('an answer could not be read'));
  }

  #end(why: Error): void {
    for (const end of this.#unanswered) end(why);
    this.#unanswered.clear();
  }

  #answered<Answer>(asked: Promise<Answer>): Promise<Answer> {
    return new Promise((resolve, reject) => {
      this.#unanswered.add(reject);
      asked.then(resolve, reject).finally(() => this.#unanswered.delete(reject));
    });
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
    return this.#answered(this.#page(events, order));
  }

  /** The report as a PDF. */
  paper(events: readonly JobEvent[], order: ReportOrder, size: PaperSize): Promise<Blob> {
    return this.#answered(this.#paper(events, order, size));
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

import type { JobEvent } from '@which-way/core/log';
import { Beside, type AskedOf } from '../../../parts/beside/beside.js';
import { PrintShop } from '../../../parts/paper/print-shop.js';
import { HandedOver } from './handed-over.js';
import type { ReportOrder } from './report-maker.js';
import type { PaperSize } from './report-pdf.js';
import type { ReportWorker } from './report.worker.js';

/** So many events are handed over at once: a few milliseconds, and the page is drawn between. */
const AT_ONCE = 400;

/** A thread that makes reports of one job; it is handed each event once. */
export class ReportThread {
  readonly #beside = new Beside<ReportWorker>({
    open: () => new Worker(new URL('./report.worker.ts', import.meta.url), { type: 'module' }),
    keeps: true,
  });
  readonly #shop = new PrintShop();
  readonly #handedOver = new HandedOver();

  async #feed(desk: AskedOf<ReportWorker>, events: readonly JobEvent[]): Promise<void> {
    const { again, fresh } = this.#handedOver.next(events);
    if (again) await desk.clear();
    for (let from = 0; from < fresh.length; from += AT_ONCE) {
      const some = fresh.slice(from, from + AT_ONCE);
      this.#handedOver.took(some);
      await desk.add(some);
    }
  }

  /** The report as a web page in one file. */
  page(events: readonly JobEvent[], order: ReportOrder): Promise<string> {
    return this.#beside.ask(async (desk) => {
      await this.#feed(desk, events);
      return desk.page(order);
    });
  }

  /** The report as a PDF. */
  async paper(events: readonly JobEvent[], order: ReportOrder, size: PaperSize): Promise<Blob> {
    const paper = await this.#beside.ask(async (desk) => {
      await this.#feed(desk, events);
      return desk.paper(order, size);
    });
    return this.#shop.lay(paper);
  }

  /** Whether somebody stopped it. */
  get stopped(): boolean {
    return this.#beside.ended;
  }

  /** Ends it at once, whatever it is at: what was asked is refused. */
  stop(): void {
    this.#beside.end();
    this.#shop.stop();
  }
}

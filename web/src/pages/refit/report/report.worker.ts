import type { JobEvent } from '@which-way/core/log';
import { expose } from 'comlink';
import { ReportMaker, type ReportOrder } from './report-maker.js';
import type { PaperSize } from './report-pdf.js';

let maker = new ReportMaker();

const bench = {
  clear: (): void => {
    maker = new ReportMaker();
  },
  add: (events: readonly JobEvent[]): void => maker.add(events),
  page: (order: ReportOrder): Promise<string> => maker.page(order),
  paper: async (order: ReportOrder, size: PaperSize): Promise<Uint8Array> => {
    const [{ report, pictures }, { layOut }] = await Promise.all([
      maker.make(order),
      // Large, and wanted for paper only.
      import('./lay-out.js'),
    ]);
    return layOut(report, pictures, size);
  },
};

/** What makes reports beside the screen. */
export type ReportWorker = typeof bench;

expose(bench);

import type { JobEvent } from '@which-way/core/log';
import { expose } from 'comlink';
import { ReportMaker, type ReportOrder } from './report-maker.js';
import type { Paper } from '../../../parts/paper/paper.js';
import { reportPaper, type PaperSize } from './report-pdf.js';

let maker = new ReportMaker();

const bench = {
  clear: (): void => {
    maker = new ReportMaker();
  },
  add: (events: readonly JobEvent[]): void => maker.add(events),
  page: (order: ReportOrder): Promise<string> => maker.page(order),
  paper: async (order: ReportOrder, size: PaperSize): Promise<Paper> => {
    const { report, pictures } = await maker.make(order);
    return reportPaper(report, pictures, size);
  },
};

/** What makes reports beside the screen. */
export type ReportWorker = typeof bench;

expose(bench);

import type { ReportDocument } from '@which-way/words/report/document';
import { wrap } from 'comlink';
import type { ReportPictures } from './report-html.js';
import type { PaperSize } from './report-pdf.js';
import type { PaperWorker } from './report.worker.js';

/** A PDF in the making, which can be stopped; null: it was. */
export interface PaperAtWork {
  file: Promise<Blob | null>;
  stop: () => void;
}

/** Lays a report out in a thread of its own: thousands of lines never hold the page up. */
export function makePaper(report: ReportDocument, pictures: ReportPictures, size: PaperSize): PaperAtWork {
  const thread = new Worker(new URL('./report.worker.ts', import.meta.url), { type: 'module' });
  let stop: () => void = () => undefined;
  const file = new Promise<Blob | null>((resolve, reject) => {
    stop = () => resolve(null);
    thread.onerror = (event) => reject(new Error(event.message));
    wrap<PaperWorker>(thread)
      .make(report, pictures, size)
      .then((bytes) => resolve(new Blob([new Uint8Array(bytes)], { type: 'application/pdf' })), reject);
  }).finally(() => thread.terminate());
  return { file, stop: () => stop() };
}

import type { ReportDocument } from '@which-way/words/report/document';
import { expose } from 'comlink';
import pdfMake from 'pdfmake/build/pdfmake';
import fonts from 'pdfmake/build/vfs_fonts';
import type { ReportPictures } from './report-html.js';
import { reportPaper, type PaperSize } from './report-pdf.js';

pdfMake.addVirtualFileSystem(fonts);

const paper = {
  make: async (report: ReportDocument, pictures: ReportPictures, size: PaperSize): Promise<Uint8Array> =>
    Uint8Array.from(await pdfMake.createPdf(reportPaper(report, pictures, size)).getBuffer()),
};

/** What lays a report out on paper, beside the screen. */
export type PaperWorker = typeof paper;

expose(paper);

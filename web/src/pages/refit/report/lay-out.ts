import type { ReportDocument } from '@which-way/words/report/document';
import pdfMake from 'pdfmake/build/pdfmake';
import fonts from 'pdfmake/build/vfs_fonts';
import type { ReportPictures } from './report-maker.js';
import { reportPaper, type PaperSize } from './report-pdf.js';

pdfMake.addVirtualFileSystem(fonts);

/** Lays a report out on paper: the bytes of a PDF. */
export const layOut = async (
  report: ReportDocument,
  pictures: ReportPictures,
  size: PaperSize,
): Promise<Uint8Array> =>
  Uint8Array.from(await pdfMake.createPdf(reportPaper(report, pictures, size)).getBuffer());

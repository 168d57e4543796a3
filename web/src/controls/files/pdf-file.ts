import pdfMake from 'pdfmake/build/pdfmake';
import fonts from 'pdfmake/build/vfs_fonts';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';

pdfMake.addVirtualFileSystem(fonts);

/** Makes a PDF of it and gives it to the browser to keep. Heavy: import it when it is wanted. */
export async function savePdf(document: TDocumentDefinitions, name: string): Promise<void> {
  await pdfMake.createPdf(document).download(name);
}

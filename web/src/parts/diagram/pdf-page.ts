import { getDocument, GlobalWorkerOptions } from 'pdfjs-dist';
import workerUrl from 'pdfjs-dist/build/pdf.worker.min.mjs?url';

/** Width of a page that is rendered to a picture, in pixels: an A4 diagram stays legible under the loupe. */
const PAGE_PIXELS = 2400;

/** A PDF that was opened to take one page of it. */
export interface OpenPdf {
  pages: number;
  /** One page as a picture, its number from 1. */
  page: (number: number) => Promise<File>;
  close: () => void;
}

/**
 * Opens a PDF in the browser; it is never sent and never kept.
 * @throws Error when it is no PDF, is damaged or wants a password.
 */
export async function openPdf(file: File): Promise<OpenPdf> {
  GlobalWorkerOptions.workerSrc = workerUrl;
  const loading = getDocument({ data: new Uint8Array(await file.arrayBuffer()) });
  const pdf = await loading.promise;
  return {
    pages: pdf.numPages,
    page: async (number) => {
      const page = await pdf.getPage(number);
      const { width } = page.getViewport({ scale: 1 });
      const viewport = page.getViewport({ scale: PAGE_PIXELS / width });
      const canvas = document.createElement('canvas');
      canvas.width = Math.round(viewport.width);
      canvas.height = Math.round(viewport.height);
      await page.render({ canvas, viewport, background: '#ffffff' }).promise;
      const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
      if (!blob) throw new Error('the page cannot be drawn');
      return new File([blob], `${file.name.replace(/\.pdf$/i, '')}-page-${number}.png`, {
        type: 'image/png',
      });
    },
    close: () => void loading.destroy(),
  };
}

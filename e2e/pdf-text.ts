import { readFileSync } from 'node:fs';

/** What older Nodes lack and the reader of PDFs uses. */
function withResolvers<Value>() {
  let settle: { resolve: (value: Value) => void; reject: (reason: unknown) => void } | null = null;
  const promise = new Promise<Value>((resolve, reject) => (settle = { resolve, reject }));
  return {
    promise,
    ...(settle as unknown as { resolve: (value: Value) => void; reject: (reason: unknown) => void }),
  };
}

/** Words of a PDF, page by page, as pdfjs-dist reads them. */
export async function pdfText(path: string): Promise<string> {
  if (!('withResolvers' in Promise)) Object.assign(Promise, { withResolvers });
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const paper = await getDocument({ data: new Uint8Array(readFileSync(path)), verbosity: 0 }).promise;
  const pages = await Promise.all(
    Array.from({ length: paper.numPages }, async (_, at) => {
      const { items } = await (await paper.getPage(at + 1)).getTextContent();
      return items.map((item) => ('str' in item ? item.str : '')).join(' ');
    }),
  );
  return pages.join(' ');
}

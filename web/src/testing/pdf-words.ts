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
export async function pdfWords(bytes: Uint8Array): Promise<string> {
  if (!('withResolvers' in Promise)) Object.assign(Promise, { withResolvers });
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const paper = await getDocument({ data: bytes, verbosity: 0 }).promise;
  const pages = await Promise.all(
    Array.from({ length: paper.numPages }, async (_, at) => {
      const { items } = await (await paper.getPage(at + 1)).getTextContent();
      return items.map((item) => ('str' in item ? item.str : '')).join(' ');
    }),
  );
  return pages.join(' ');
}

/** The typefaces that lie in a PDF, by their own names. */
export function pdfFaces(bytes: Uint8Array): string[] {
  const said = Buffer.from(bytes)
    .toString('latin1')
    .matchAll(/\/BaseFont \/[A-Z]{6}\+(\S+)/g);
  return [...new Set([...said].map(([, name = '']) => name))].toSorted();
}

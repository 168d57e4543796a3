import { readFileSync } from 'node:fs';
import { pdfFaces, pdfWords } from '../web/src/testing/pdf-words.js';

/** Words of a PDF, page by page. */
export const pdfText = (path: string): Promise<string> => pdfWords(new Uint8Array(readFileSync(path)));

/** The typefaces that lie in a PDF. */
export const facesOf = (path: string): string[] => pdfFaces(new Uint8Array(readFileSync(path)));

import { plainText } from '@which-way/core/schema';
import Papa from 'papaparse';

/** Rows as CSV: no cell steers a program that reads it, and what a spreadsheet would take for a formula stays text. */
export const csvText = (rows: readonly (readonly string[])[]): string =>
  Papa.unparse(
    rows.map((row) => row.map(plainText)),
    { newline: '\r\n', escapeFormulae: true },
  );

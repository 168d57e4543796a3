import {
  entryOfRow,
  guessedMapping,
  rowOfEntry,
  CSV_COLUMNS,
  type CsvMapping,
  type CsvRow,
} from '@which-way/core/formats';
import type { EntryId, KnownSwitch } from '@which-way/core/switch';
import Papa from 'papaparse';
import { newId } from '../job/new-id.js';

/** More is no catalogue that a page can hold. */
export const MOST_CATALOGUE_BYTES = 40 * 1024 * 1024;
const MAPPING_KEY = 'which-way-csv-columns';

/** A CSV file as it is looked through: its head, its rows, each with the id that its entry will have. */
export interface Catalogue {
  name: string;
  head: string[];
  rows: { cells: string[]; id: EntryId }[];
}

/** Reads a CSV in the background; a mark at its beginning and blank lines are passed over. */
export async function readCatalogue(file: File): Promise<Catalogue> {
  const text = (await file.text()).replace(/^\uFEFF/, '');
  const [head = [], ...rows] = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy' }).data;
  return { name: file.name, head, rows: rows.map((cells) => ({ cells, id: newId<EntryId>() })) };
}

/** Which column holds what: as it was said for a file with this head before, else as the names suggest. */
export function mappingFor(head: readonly string[]): CsvMapping {
  try {
    const kept = JSON.parse(localStorage.getItem(MAPPING_KEY) ?? '{}') as Record<string, CsvMapping>;
    return kept[head.join('\t')] ?? guessedMapping(head);
  } catch {
    return guessedMapping(head);
  }
}

/** Keeps a mapping for the next file with this head; where the browser keeps nothing it is asked again. */
export function rememberMapping(head: readonly string[], mapping: CsvMapping): void {
  try {
    localStorage.setItem(MAPPING_KEY, JSON.stringify({ [head.join('\t')]: mapping }));
  } catch {
    // Only a convenience.
  }
}

/** A row as an entry, or what is wrong in it. */
export const lookAt = ({ cells, id }: Catalogue['rows'][number], mapping: CsvMapping): CsvRow =>
  entryOfRow(cells, mapping, id);

/** Entries as a file of the program's own: it goes in by the door of all files, looked through and all or none. */
export const asFile = (entries: readonly KnownSwitch[], name: string): File =>
  new File(
    [JSON.stringify({ format: 'which-way', version: 2, shop: null, jobs: [], library: entries })],
    `${name.replace(/\.csv$/i, '')}.json`,
    { type: 'application/json' },
  );

/** Entries as a CSV with every column there is; formulas stay text. */
export const catalogueCsv = (entries: readonly KnownSwitch[]): string =>
  Papa.unparse([[...CSV_COLUMNS], ...entries.map(rowOfEntry)], { newline: '\r\n', escapeFormulae: true });

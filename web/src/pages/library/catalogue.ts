import {
  entryOfRow,
  guessedMapping,
  rowOfEntry,
  CSV_COLUMNS,
  type CsvMapping,
  type CsvRow,
} from '@which-way/core/formats';
import type { EntryId, KnownSwitch } from '@which-way/core/switch';
import { csvText } from '../../controls/files/csv-text.js';
import { newId } from '../../job/new-id.js';
import {
  readText,
  rowsOfCsv,
  separatorOf,
  type CsvFileTrouble,
  type Separator,
} from '../../controls/files/read-csv.js';

/** More is no catalogue that a page can hold. */
export const MOST_CATALOGUE_BYTES = 40 * 1024 * 1024;
const MAPPING_KEY = 'which-way-csv-columns';

/** A row of a file: where it stands there, counted from 1, and the id that its entry will have. */
export interface CatalogueRow {
  at: number;
  cells: string[];
  id: EntryId;
}

/** A CSV file as it is looked through. */
export interface Catalogue {
  name: string;
  head: string[];
  rows: CatalogueRow[];
  /** What stands between its cells, and the whole text, to be read with another. */
  separator: Separator;
  text: string;
}

/** Reads a CSV as a catalogue; blank lines are passed over, and counted. */
export async function readCatalogue(file: File): Promise<Catalogue | CsvFileTrouble | 'no-rows'> {
  const read = await readText(file);
  if (typeof read === 'string') return read;
  const known = (head: readonly string[]) => Object.keys(guessedMapping(head)).length;
  return catalogueOf(file.name, read.text, (await separatorOf(read.text, known)) ?? ',');
}

/** The same text with this between its cells. */
export async function catalogueOf(
  name: string,
  text: string,
  separator: Separator,
): Promise<Catalogue | CsvFileTrouble | 'no-rows'> {
  const all = await rowsOfCsv(text, separator);
  if (all === 'open-quote') return all;
  const [head, ...rows] = all
    .map((cells, index) => ({ at: index + 1, cells, id: newId<EntryId>() }))
    .filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  return head && rows.length > 0 ? { name, head: head.cells, rows, separator, text } : 'no-rows';
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

/**
 * A row with more cells than the head has: a list of terminals or of positions that nobody quoted is joined again, where each piece of it
 * can be nothing else: a terminal that its positions name, a position with its colon.
 */
function withListsJoined(cells: readonly string[], head: readonly string[], mapping: CsvMapping): string[] {
  const more = cells.length - head.length;
  const joined = (column: 'terminals' | 'positions', isPiece: (cell: string, rest: string) => boolean) => {
    const at = mapping[column];
    if (at === undefined || more <= 0) return null;
    const [pieces, rest] = [cells.slice(at, at + more + 1), cells.slice(at + more + 1).join(' ')];
    return pieces.every((cell) => isPiece(cell.trim(), rest))
      ? [
          ...cells.slice(0, at),
          pieces.map((cell) => cell.trim()).join(column === 'terminals' ? ' ' : '; '),
          ...cells.slice(at + more + 1),
        ]
      : null;
  };
  const named = (cell: string, rest: string) => /^\S+$/.test(cell) && rest.split(/[\s;:-]+/).includes(cell);
  return joined('terminals', named) ?? joined('positions', (cell) => /^[^:]+:/.test(cell)) ?? [...cells];
}

/** A row as an entry, or what is wrong in it; cells behind the last column are no one's, so the row is not taken as it stands. */
export function lookAt(row: CatalogueRow, head: readonly string[], mapping: CsvMapping): CsvRow {
  const { id } = row;
  const cells = withListsJoined(row.cells, head, mapping);
  const behind = cells.slice(head.length).filter((cell) => cell.trim() !== '');
  if (behind.length === 0) return entryOfRow(cells, mapping, id);
  return { ok: false, troubles: [{ column: 'name', code: 'more-cells', text: behind.join(', ') }] };
}

/** Entries as a file of the program's own: it goes in by the door of all files, looked through and all or none. */
export const asFile = (entries: readonly KnownSwitch[], name: string): File =>
  new File(
    [JSON.stringify({ format: 'which-way', version: 2, shop: null, jobs: [], library: entries })],
    `${name.replace(/\.csv$/i, '')}.json`,
    { type: 'application/json' },
  );

/** Entries as a CSV with every column there is; formulas stay text. */
export const catalogueCsv = (entries: readonly KnownSwitch[]): string =>
  csvText([[...CSV_COLUMNS], ...entries.map(rowOfEntry)]);

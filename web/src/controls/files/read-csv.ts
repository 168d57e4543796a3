import { READ_CSV_TEXT } from '@which-way/words/screens/controls/files/read-csv';

/** What keeps the bytes of a file from being read as CSV. */
export type CsvFileTrouble = 'unreadable' | 'not-utf-8' | 'open-quote';

/** What is said behind the name of the file. */
export const CSV_FILE_WORDS: Record<CsvFileTrouble, string> = {
  unreadable: READ_CSV_TEXT.cannotBeReadIsIt,
  'not-utf-8': READ_CSV_TEXT.isNotInUtfSo,
  'open-quote': READ_CSV_TEXT.hasAQuoteThatIs,
};

/** The text of a file, without the mark at its beginning; no letter of it is lost. */
export async function readText(
  file: Blob,
): Promise<{ text: string } | Exclude<CsvFileTrouble, 'open-quote'>> {
  const bytes = await file.arrayBuffer().catch(() => null);
  if (!bytes) return 'unreadable';
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    return 'not-utf-8';
  }
}

/** What may stand between the cells of a row. */
export const SEPARATORS = [',', ';', '\t', '|'] as const;
export type Separator = (typeof SEPARATORS)[number];

/** The separator that gives the first row most cells that are known by name; undefined: none of them gives any. */
export async function separatorOf(
  text: string,
  known: (head: readonly string[]) => number,
): Promise<Separator | undefined> {
  const { default: Papa } = await import('papaparse');
  const counted = SEPARATORS.map((one) => {
    const { data } = Papa.parse<string[]>(text, { delimiter: one, preview: 1, skipEmptyLines: 'greedy' });
    return { one, many: known(data[0] ?? []) };
  });
  const most = Math.max(...counted.map(({ many }) => many));
  return most > 0 ? counted.find(({ many }) => many === most)?.one : undefined;
}

/**
 * Every row of a CSV, blank ones too. A quote that is never closed would take the rest of the file into one cell: it is refused. The
 * mark that keeps a spreadsheet from taking a cell for a formula is left out.
 */
export async function rowsOfCsv(text: string, separator?: Separator): Promise<string[][] | 'open-quote'> {
  const { default: Papa } = await import('papaparse');
  const { data, errors } = Papa.parse<string[]>(text, separator ? { delimiter: separator } : {});
  if (errors.some(({ type }) => type === 'Quotes')) return 'open-quote';
  return data.map((cells) => cells.map((cell) => cell.replace(/^'(?=[=+\-@\t\r])/, '')));
}

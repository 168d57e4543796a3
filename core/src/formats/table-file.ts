import type { SwitchMap } from '../continuity/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { truthTable } from '../table/index.js';

/** A truth table as a file: contacts by positions, each cell with how it is known. */
export interface TableFile {
  format: 'which-way-table';
  version: 1;
  title: string;
  /** Whether every pair is settled in every position. */
  complete: boolean;
  terminals: string[];
  /** Names, in handle order. */
  positions: string[];
  contacts: {
    /** The common that it is a throw of; null where it is only a pair. */
    moving: string | null;
    from: string;
    to: string;
    /** One for each position. */
    cells: TableFileCell[];
  }[];
}

/** One contact in one position. */
export interface TableFileCell {
  /** null: not known, or in dispute. */
  is: 'closed' | 'open' | null;
  known: 'measured' | 'follows' | 'assumed' | 'disputed' | 'unknown';
  byTone: boolean;
  /** Leads taken off; null where it was not read in ohms. */
  ohms: number | null;
}

/** The truth table of a map for a file. Only what is measured or follows is said to be closed or open. */
export function tableFile(
  map: SwitchMap,
  title: string,
  called: { terminal: (id: TerminalId) => string; setting: (id: SettingId) => string },
): TableFile {
  const table = truthTable(map);
  const rows = [...table.poles.flatMap((pole) => pole.rows), ...table.uncertain];
  return {
    format: 'which-way-table',
    version: 1,
    title,
    complete: table.complete,
    terminals: map.contacts.map((place) => called.terminal(map.structure.terminals[place]?.id as TerminalId)),
    positions: table.settings.map(called.setting),
    contacts: rows.map(({ moving, terminals, cells }) => ({
      moving: moving && called.terminal(moving),
      from: called.terminal(terminals[0]),
      to: called.terminal(terminals[1]),
      cells: cells.map(({ fact, reading }) => ({
        is: fact.state === 'measured' || fact.state === 'follows' ? (fact.joined ? 'closed' : 'open') : null,
        known: fact.state === 'predicted' ? 'unknown' : fact.state,
        byTone: fact.byTone,
        ohms: reading?.quantity.ohms ?? null,
      })),
    })),
  };
}

/**
 * The contacts of such a file as rows of text, as a spreadsheet has them: `from`, `to`, and a column for each position. null for
 * what is no such file.
 */
export function rowsOfTableFile(file: unknown): string[][] | null {
  if (!isObject(file) || file['format'] !== 'which-way-table' || file['version'] !== 1) return null;
  const { positions, contacts } = file;
  if (!Array.isArray(positions) || !Array.isArray(contacts)) return null;
  const rows = contacts.map((contact: unknown) => {
    if (!isObject(contact) || !Array.isArray(contact['cells'])) return null;
    const cells = contact['cells'].map((cell: unknown) => (isObject(cell) ? String(cell['is'] ?? '') : ''));
    return [String(contact['from']), String(contact['to']), ...cells];
  });
  const whole = rows.filter((row) => row !== null);
  return whole.length < rows.length ? null : [['from', 'to', ...positions.map(String)], ...whole];
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

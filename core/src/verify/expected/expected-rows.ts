import type { ExpectedTable } from '../../log/index.js';
import { blocks, partitionOf } from '../../partition/index.js';
import {
  contactTerminals,
  terminalNamed,
  type SettingId,
  type Structure,
  type TerminalId,
} from '../../switch/index.js';

/** Why rows are no expected table, and where: rows and columns counted from 1, as a spreadsheet does. */
export interface RowsTrouble {
  code: 'no-head' | 'no-such-position' | 'no-such-terminal' | 'not-a-cell' | 'contradicts';
  row: number;
  /** What stands there. */
  at: string;
}

export type ReadRows = { ok: true; table: ExpectedTable } | { ok: false; trouble: RowsTrouble };

const CLOSED = /^(x|×|1|closed|yes)\b/i;
const OPEN = /^(-|–|0|open|no)(\b|$)/i;

/**
 * Reads an expected table from rows of text, as a spreadsheet gives them: a head with `from`, `to` and the names of positions
 * (other columns are passed over), then a pair a row; in a cell `x`, `1` or `closed`, `-`, `0` or `open`; empty: nothing is said.
 * Pairs that stand in no row are open where any row speaks of the position, as they are in a table of contacts.
 * @param nameOf what a setting is called, as it stands on the screen
 */
export function readExpectedRows(
  rows: readonly (readonly string[])[],
  structure: Structure,
  nameOf: (index: number) => string,
): ReadRows {
  const trouble = (code: RowsTrouble['code'], row: number, at: string): ReadRows => ({
    ok: false,
    trouble: { code, row: row + 1, at },
  });
  const head = (rows[0] ?? []).map((cell) => cell.trim().toLowerCase());
  const [from, to] = [head.indexOf('from'), head.indexOf('to')];
  const columns = structure.settings.flatMap(({ id }, at) => {
    const column = head.indexOf(nameOf(at).toLowerCase());
    return column < 0 ? [] : [{ id, column }];
  });
  if (from < 0 || to < 0) return trouble('no-head', 0, (rows[0] ?? []).join(', ').slice(0, 60));
  if (columns.length === 0) return trouble('no-such-position', 0, (rows[0] ?? []).join(', ').slice(0, 60));
  const terminals = contactTerminals(structure).map(({ id }) => id);
  const said = columns.map((): SaidOfSetting => ({ joined: [], apart: [], unsaid: [] }));
  for (const [index, row] of rows.entries()) {
    if (index === 0 || row.every((cell) => cell.trim() === '')) continue;
    const ends: TerminalId[] = [];
    for (const column of [from, to]) {
      const label = (row[column] ?? '').trim();
      const terminal = terminalNamed(structure, label);
      if (!terminal) return trouble('no-such-terminal', index, label);
      ends.push(terminal.id);
    }
    const [a, b] = ends as [TerminalId, TerminalId];
    const pair: [number, number] = [terminals.indexOf(a), terminals.indexOf(b)];
    for (const [at, { column }] of columns.entries()) {
      const cell = (row[column] ?? '').trim();
      const of = said[at] as SaidOfSetting;
      if (cell === '' || cell === '?') of.unsaid.push([a, b]);
      else if (CLOSED.test(cell)) of.joined.push(pair);
      else if (OPEN.test(cell)) of.apart.push(pair);
      else return trouble('not-a-cell', index, cell);
    }
  }
  const settings = columns.map(({ id }, at) => settingOf(id, said[at] as SaidOfSetting, terminals));
  const wrong = settings.findIndex((setting) => setting === null);
  if (wrong >= 0) return trouble('contradicts', 0, rows[0]?.[columns[wrong]?.column ?? 0]?.trim() ?? '');
  const table = {
    source: { kind: 'text' as const },
    settings: settings.filter((setting) => setting !== null),
  };
  return { ok: true, table };
}

/** What rows say of one setting; places of terminals. */
interface SaidOfSetting {
  joined: [number, number][];
  apart: [number, number][];
  unsaid: [TerminalId, TerminalId][];
}

/** One setting of the table; null where a pair that should be open follows from pairs that should be closed. */
function settingOf(
  setting: SettingId,
  { joined, apart, unsaid }: SaidOfSetting,
  terminals: readonly TerminalId[],
): ExpectedTable['settings'][number] | null {
  const partition = partitionOf(terminals.length, joined);
  if (apart.some(([one, other]) => partition[one] === partition[other])) return null;
  const place = (id: TerminalId) => partition[terminals.indexOf(id)];
  return {
    setting,
    joined: blocks(partition)
      .filter((net) => net.length > 1)
      .map((net) => net.map((at) => terminals[at] as TerminalId)),
    unsaid: unsaid.filter(([one, other]) => place(one) !== place(other)),
  };
}

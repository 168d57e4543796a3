import type { Contact } from '@which-way/core/table';
import type { SettingId, TerminalId } from '@which-way/core/switch';
import type { Comparison } from '@which-way/core/verify';

/** Contacts each once, in the order of their terminals. */
export function distinct(contacts: readonly Contact[]): Contact[] {
  return [...new Map(contacts.map((contact) => [String(contact), contact])).values()].sort(
    (one, other) => one[0] - other[0] || one[1] - other[1],
  );
}

/** How a cell compares; null: nothing is said of it. */
export type CellVerdict = Comparison['cells'][number]['verdict'] | null;

/** How a pair compares in a setting. */
export const verdictOf = (
  { cells }: Comparison,
  setting: SettingId,
  a: TerminalId,
  b: TerminalId,
): CellVerdict =>
  cells.find((cell) => cell.setting === setting && cell.terminals.includes(a) && cell.terminals.includes(b))
    ?.verdict ?? null;

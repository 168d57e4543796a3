import type { ExpectedTable } from '../../log/index.js';
import type { TerminalId } from '../../switch/index.js';

/**
 * An expected table with its terminals laid otherwise over those of the switch.
 * @param to by place of the switch's terminal: the place of the table's terminal that stands for it
 */
export function laidOtherwise(
  table: ExpectedTable,
  terminals: readonly TerminalId[],
  to: readonly number[],
): ExpectedTable {
  const here = new Map(to.map((place, at) => [terminals[place] as TerminalId, terminals[at] as TerminalId]));
  const moved = (id: TerminalId): TerminalId => here.get(id) ?? id;
  return {
    ...table,
    settings: table.settings.map((entry) => ({
      ...entry,
      joined: entry.joined.map((net) => net.map(moved)),
      unsaid: entry.unsaid.map(([one, other]): [TerminalId, TerminalId] => [moved(one), moved(other)]),
    })),
  };
}

import type { SwitchMap } from '@which-way/core/continuity';
import { truthTable, type Cell, type Row } from '@which-way/core/table';
import { settingName, terminalName } from '../terminals.js';

/** What a cell says in a file: joined or apart and how that is known. */
function cellText({ fact, lookAgain }: Cell): string {
  if (fact.state === 'disputed' || lookAgain) return 'look again';
  if (fact.state === 'unknown') return 'not known';
  if (fact.state === 'assumed') return `assumed ${fact.joined ? 'closed' : 'open'}`;
  const tone = fact.byTone ? (fact.joined ? ', by tone' : ', silent') : '';
  return `${fact.joined ? 'closed' : 'open'}, ${fact.state}${tone}`;
}

/** The truth table as rows of text, its head first: a contact a row, a column a setting and one for its ohms there. */
export function tableRows(map: SwitchMap): string[][] {
  const { structure } = map;
  const table = truthTable(map);
  const names = table.settings.map((id) => settingName(structure, id));
  const head = ['moving contact', 'from', 'to', ...names.flatMap((name) => [name, `${name}, ohm`])];
  const rowOf = ({ moving, terminals, cells }: Row) => [
    moving ? terminalName(structure, moving) : '',
    ...terminals.map((id) => terminalName(structure, id)),
    ...cells.flatMap((cell) => [cellText(cell), cell.reading ? String(cell.reading.quantity.ohms) : '']),
  ];
  return [head, ...table.poles.flatMap(({ rows }) => rows.map(rowOf)), ...table.uncertain.map(rowOf)];
}

import type { TablePole, TruthTable } from '@which-way/core/table';
import type { Structure } from '@which-way/core/switch';
import { settingName, terminalName } from '../terminals.js';

/** The table in words, pole by pole; only what is closed is told, and only as far as it is known. */
export function patternWords(structure: Structure, { poles, settings }: TruthTable): string[] {
  return poles.map((pole) => {
    const name = (id: Parameters<typeof terminalName>[1]) => terminalName(structure, id);
    const inTurn = pole.common !== null && isInTurn(pole);
    if (inTurn && pole.common !== null) {
      const { common } = pole;
      const throws = settings.map((_, index) => {
        const row = pole.rows.find(({ cells }) => cells[index]?.fact.joined);
        return row ? name(row.terminals[0] === common ? row.terminals[1] : row.terminals[0]) : 'nothing';
      });
      return `From position to position, terminal ${name(common)} goes to ${throws.join(', ')}.`;
    }
    const told = settings.map((setting, index) => {
      const closed = pole.rows.filter(({ cells }) => cells[index]?.fact.joined);
      const what = closed.map(({ terminals }) => terminals.map(name).join('\u2013')).join(', ') || 'nothing';
      return `${settingName(structure, setting)}: ${what}`;
    });
    return `${told.join('; ')}.`;
  });
}

/** Whether at most one contact of the pole is closed at a time. */
function isInTurn({ rows }: TablePole): boolean {
  const [first] = rows;
  return (first?.cells ?? []).every(
    (_, index) => rows.filter(({ cells }) => cells[index]?.fact.joined).length <= 1,
  );
}

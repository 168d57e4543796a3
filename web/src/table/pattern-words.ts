import type { TruthTable } from '@which-way/core/table';
import type { Structure } from '@which-way/core/switch';
import { terminalList, terminalName } from '../words/terminals.js';

const count = (many: number, one: string) => `${many} ${one}${many === 1 ? '' : 's'}`;

/** The table in a line: how many poles, how many positions. Says when it is not the whole truth yet. */
export function patternTitle({ poles, settings, complete }: TruthTable): string {
  const title = `${count(poles.length, 'pole')}, ${count(settings.length, 'position')}`;
  return complete ? title : `${title}, so far`;
}

/** The table in words, pole by pole. */
export function patternWords(structure: Structure, { poles }: TruthTable): string {
  const sentences = poles.map(({ terminals, common, rows }) => {
    if (common !== null) {
      const others = terminals.filter((id) => id !== common);
      return `Terminal ${terminalName(structure, common)} goes to ${terminalList(structure, others)} in turn or together, as the table says.`;
    }
    const pairs = rows.map(({ terminals: [a, b] }) => `${terminalName(structure, a)}–${terminalName(structure, b)}`);
    return `${pairs.join(', ')} ${rows.length === 1 ? 'opens and closes by itself' : 'share terminals, with no one common'}.`;
  });
  return sentences.join(' ');
}

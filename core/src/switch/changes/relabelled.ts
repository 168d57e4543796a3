import { id, list, MOST_TERMINALS, object, type TypeOf } from '../../schema/index.js';
import type { TerminalId } from '../id.js';
import type { Structure } from '../structure.js';
import { labelSchema, stampSchema, type Terminal } from '../terminal.js';
import { labelProblems, missing } from './checks.js';
import { defineChange } from './define-change.js';

const newLabelSchema = object({ terminal: id<TerminalId>(), label: labelSchema, marking: stampSchema });

function withLabels({ terminals }: Structure, labels: readonly TypeOf<typeof newLabelSchema>[]): Terminal[] {
  const fresh = new Map(labels.map((label) => [label.terminal, label]));
  return terminals.map((terminal) => {
    const { label, marking } = fresh.get(terminal.id) ?? terminal;
    return { ...terminal, label, marking };
  });
}

export const relabelled = defineChange('relabelled', {
  says: 'labels and markings of several terminals at once; they may be swapped, since only the outcome has to be free of twins',
  fields: { labels: list(newLabelSchema, { minItems: 1, maxItems: MOST_TERMINALS }) },
  apply: (structure, { labels }) => ({ ...structure, terminals: withLabels(structure, labels) }),
  check: (structure, { labels }) => [
    ...labels.flatMap(({ terminal }) => missing(structure.terminals, terminal)),
    ...labelProblems(withLabels(structure, labels).map(({ label }) => label)),
  ],
});

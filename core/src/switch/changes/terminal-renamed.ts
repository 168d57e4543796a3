import { id } from '../../schema/index.js';
import type { TerminalId } from '../id.js';
import { labelSchema, stampSchema } from '../terminal.js';
import { labelProblems, missing } from './checks.js';
import { defineChange } from './define-change.js';
import { editTerminal } from './edits.js';

export const terminalRenamed = defineChange('terminal-renamed', {
  says: 'another label or marking of a terminal',
  fields: { terminal: id<TerminalId>(), label: labelSchema, marking: stampSchema },
  apply: (structure, { terminal, label, marking }) => editTerminal(structure, terminal, { label, marking }),
  check: (structure, { terminal, label }) => {
    const others = structure.terminals.filter(({ id }) => id !== terminal).map((other) => other.label);
    return [...missing(structure.terminals, terminal), ...labelProblems([...others, label])];
  },
});

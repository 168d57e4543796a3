import { terminalSchema } from '../terminal.js';
import { labelProblems } from './checks.js';
import { defineChange } from './define-change.js';
import { appendNew } from './edits.js';

export const terminalAdded = defineChange('terminal-added', {
  says: 'one more terminal',
  fields: { terminal: terminalSchema },
  apply: (structure, { terminal }) => ({
    ...structure,
    terminals: appendNew(structure.terminals, [terminal]),
  }),
  check: (structure, { terminal }) =>
    labelProblems([...structure.terminals.map(({ label }) => label), terminal.label]),
});

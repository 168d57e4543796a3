import { id, oneOf } from '../../schema/index.js';
import type { TerminalId } from '../id.js';
import { TERMINAL_ROLES } from '../terminal.js';
import { missing, tooFewWithout } from './checks.js';
import { defineChange } from './define-change.js';
import { editTerminal } from './edits.js';

export const terminalRole = defineChange('terminal-role', {
  says: 'whether a terminal is a contact, a dummy or the frame',
  fields: { terminal: id<TerminalId>(), role: oneOf(TERMINAL_ROLES) },
  apply: (structure, { terminal, role }) => editTerminal(structure, terminal, { role }),
  check: (structure, { terminal, role }) => [
    ...missing(structure.terminals, terminal),
    ...(role === 'frame' ? tooFewWithout(structure, terminal) : []),
  ],
});

import { id, oneOf } from '../../schema/index.js';
import type { TerminalId } from '../id.js';
import { inPattern, TERMINAL_ROLES } from '../terminal.js';
import { missing, tooFewWithout } from './checks.js';
import { defineChange } from './define-change.js';
import { editTerminal } from './edits.js';

export const terminalRole = defineChange('terminal-role', {
  says: 'what a terminal is: a contact, a tie lug, a lamp tab, the frame, an earth, electronics, a potentiometer',
  fields: { terminal: id<TerminalId>(), role: oneOf(TERMINAL_ROLES) },
  apply: (structure, { terminal, role }) => editTerminal(structure, terminal, { role }),
  check: (structure, { terminal, role }) => [
    ...missing(structure.terminals, terminal),
    ...(!inPattern({ role }) ? tooFewWithout(structure, terminal) : []),
  ],
});

import { id } from '../../schema/index.js';
import type { TerminalId } from '../id.js';
import { missing, tooFewWithout } from './checks.js';
import { defineChange } from './define-change.js';

export const terminalRetired = defineChange('terminal-retired', {
  says: 'a terminal that is not there after all; what was read on it is parked',
  fields: { terminal: id<TerminalId>() },
  apply: (structure, { terminal }) => ({
    ...structure,
    terminals: structure.terminals.filter(({ id }) => id !== terminal),
  }),
  check: (structure, { terminal }) => [
    ...missing(structure.terminals, terminal),
    ...tooFewWithout(structure, terminal),
  ],
});

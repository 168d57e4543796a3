import { list, MOST_TERMINALS } from '../../schema/index.js';
import { placedTerminalSchema, placeTerminals } from '../layout.js';
import { missing } from './checks.js';
import { defineChange } from './define-change.js';

export const placed = defineChange('placed', {
  says: 'where terminals lie, where the layout has places of its own',
  fields: { spots: list(placedTerminalSchema, { minItems: 1, maxItems: MOST_TERMINALS }) },
  apply: (structure, { spots }) => ({ ...structure, placed: placeTerminals(structure.placed, spots) }),
  check: (structure, { spots }) => spots.flatMap(({ terminal }) => missing(structure.terminals, terminal)),
});

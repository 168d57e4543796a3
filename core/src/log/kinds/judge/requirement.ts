import {
  count,
  flag,
  id,
  list,
  object,
  oneOf,
  orNull,
  says,
  two,
  type TypeOf,
} from '../../../schema/index.js';
import type { TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { REQUIREMENT_SOURCES } from './chosen.js';

export const refinementSchema = object({
  source: says('null: as it is proposed.', orNull(oneOf(REQUIREMENT_SOURCES))),
  never: says(
    'Terminals whose wires must never meet: two supplies.',
    list(two(id<TerminalId>()), { maxItems: 40 }),
  ),
  jumpers: says('Junctions that may be added, at most.', count(0, 4)),
  gaps: says('Positions of a part may lie unused between those that are used.', flag),
});
/** How a replacement is looked for. */
export type Refinement = TypeOf<typeof refinementSchema>;

export const requirementRefined = defineKind('requirement-refined', {
  says: 'what a replacement has to do besides, and how far it may be adapted; the newest counts',
  fields: { refinement: refinementSchema },
  undo: ['match'],
  reading: 'extends',
});

import {
  count,
  flag,
  id,
  list,
  MOST_SETTINGS,
  MOST_TERMINALS,
  object,
  oneOf,
  orNull,
  says,
  two,
  type TypeOf,
} from '../../../schema/index.js';
import type { SettingId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { last } from '../keeps.js';
import { REQUIREMENT_SOURCES } from './chosen.js';
import { expectedTableSchema } from './expected.js';

export const refinementSchema = object({
  source: says('null: as it is proposed.', orNull(oneOf(REQUIREMENT_SOURCES))),
  another: says(
    'The table of another job or entry, laid on this switch, as it was when it was taken.',
    orNull(expectedTableSchema),
  ),
  never: says(
    'Terminals whose wires must never meet: two supplies.',
    list(two(id<TerminalId>()), { maxItems: 40 }),
  ),
  jumpers: says('Junctions that may be added, at most.', count(0, 4)),
  gaps: says('Positions of a part may lie unused between those that are used.', flag),
  unused: says(
    'Terminals that carried no wire: nothing is asked of them.',
    list(id<TerminalId>(), { maxItems: MOST_TERMINALS }),
  ),
  leftOut: says('Positions that do not matter.', list(id<SettingId>(), { maxItems: MOST_SETTINGS })),
  free: says(
    'Pairs whose joining does not matter: in one position, or in all (null).',
    list(object({ pair: two(id<TerminalId>()), setting: orNull(id<SettingId>()) }), { maxItems: 400 }),
  ),
  spares: says('A part may have more positions than are used.', flag),
  returns: says('It must spring back where the old one does, and stay where that stays.', flag),
});
/** How a replacement is looked for. */
export type Refinement = TypeOf<typeof refinementSchema>;

/** Nothing said: as it is proposed, of a part as it comes. */
export const NO_REFINEMENT: Refinement = {
  source: null,
  another: null,
  never: [],
  jumpers: 0,
  gaps: false,
  unused: [],
  leftOut: [],
  free: [],
  spares: true,
  returns: false,
};

/** Before it could be said what does not matter, everything did. */
function allMatters(what: Record<string, unknown>): Record<string, unknown> {
  const refinement = what['refinement'];
  return typeof refinement === 'object' && refinement !== null
    ? { ...what, refinement: { ...NO_REFINEMENT, ...refinement } }
    : what;
}

export const requirementRefined = defineKind('requirement-refined', {
  says: 'what a replacement has to do besides, and how far it may be adapted; the newest counts',
  fields: { refinement: refinementSchema },
  undo: ['match'],
  reading: 'extends',
  upgrades: { 1: allMatters },
  keeps: last('refinement'),
});

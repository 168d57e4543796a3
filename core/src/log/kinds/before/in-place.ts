import {
  list,
  object,
  oneOf,
  REMARK_LETTERS,
  POINT_LETTERS,
  says,
  text,
  type TypeOf,
} from '../../../schema/index.js';
import { defineKind } from '../define-kind.js';
import { every } from '../keeps.js';

/** What was read at a place, the wires on. */
const found = oneOf(['open', 'joined'] as const);

export const inPlaceTrialSchema = object({
  between: says('The two points, as the repairer calls them.', text(POINT_LETTERS, 1)),
  openAt: says('Where the handle should part them.', text(POINT_LETTERS, 1)),
  closedAt: says('Where it should join them.', text(POINT_LETTERS, 1)),
  rounds: says(
    'One after another, the leads unmoved.',
    list(object({ atOpen: found, atClosed: found }), { minItems: 1, maxItems: 12 }),
  ),
  sharedBy: says('What could share the path: loads, lamps, the rest of the machine.', text(REMARK_LETTERS)),
});
/** A pair that was watched in the machine while the handle went to and fro: evidence for that path, never for a map. */
export type InPlaceTrial = TypeOf<typeof inPlaceTrialSchema>;

export const triedInPlace = defineKind('tried-in-place', {
  says: 'a pair watched with the wires on while the handle went to and fro',
  fields: { trial: inPlaceTrialSchema },
  undo: ['path'],
  reading: 'extends',
  keeps: every('trial'),
});

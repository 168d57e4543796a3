import { amount, flag, object, orNull, says, type TypeOf } from '../../../schema/index.js';
import { defineKind } from '../define-kind.js';
import { last } from '../keeps.js';

const money = orNull(amount(0, 1e6));

export const worthInputsSchema = object({
  part: money,
  minutes: money,
  ratePerHour: money,
  postage: money,
  newMachine: says('A new machine of the same use.', money),
  newLife: says('Years that a new one lasts.', money),
  lifeLeft: says('Years that this one would still last once repaired.', money),
  limit: says("The owner's own limit for the repair.", money),
  dangerous: says("A machine that cannot be made safe is not kept for money's sake.", flag),
});
/** What the repair-or-replace sum is made of; null: not said. Money in the shop's own currency. */
export type WorthInputs = TypeOf<typeof worthInputsSchema>;

export const worthNoted = defineKind('worth-noted', {
  says: 'what the repair-or-replace sum is made of',
  fields: { inputs: worthInputsSchema },
  undo: ['intake'],
  reading: 'extends',
  keeps: last('inputs'),
});

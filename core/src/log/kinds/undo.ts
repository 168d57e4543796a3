import { id, orNull, says } from '../../schema/index.js';
import type { EventId } from '../../switch/index.js';
import { defineKind, type BodyUpgrade } from './define-kind.js';

/**
 * The last event that changed the structure and that the writer had seen. A change is refused where another came between:
 * counting changes would let a second one of the same writer pass after its first was refused.
 */
export const basedOnSchema = says(
  'The last event that had changed the switch when this was written, as far as its writer had seen; null: none, or not said.',
  orNull(id<EventId>()),
);

/** Version 1 counted changes; which event that was is not known any more. */
export const countedChanges: BodyUpgrade = (what) => ({ ...what, basedOn: null });

const fields = { target: id<EventId>(), basedOn: basedOnSchema };

export const withdrawn = defineKind('withdrawn', {
  says: 'undo of a whole act (`target`); `basedOn` as in `restructured` where the act changed the switch, else null',
  fields,
  undo: [],
  reading: 'looks back',
  upgrades: { 1: countedChanges },
});

export const restored = defineKind('restored', {
  says: 'redo of an act that was undone',
  fields,
  undo: [],
  reading: 'looks back',
  upgrades: { 1: countedChanges },
});

import { CODE_LETTERS, id, KIND_LETTERS, says, text } from '../../schema/index.js';
import type { EventId } from '../../switch/index.js';
import { defineKind } from './define-kind.js';

/** Nothing is derived from it: it is there so that a device's numbers have no gaps. */
export const leftOut = defineKind('left-out', {
  says: 'stands under the number of an event that was refused and given up',
  fields: {
    event: id<EventId>(),
    was: says('Its kind.', text(KIND_LETTERS)),
    because: says('The code of the refusal.', text(CODE_LETTERS)),
  },
  undo: [],
  reading: 'extends',
});

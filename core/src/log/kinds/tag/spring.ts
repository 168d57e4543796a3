import { id, object, optional, orNull, says, type TypeOf } from '../../../schema/index.js';
import type { PositionId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { newest } from '../keeps.js';

const springAnswerSchema = object({
  position: id<PositionId>(),
  found: says('Where the handle ended when it was let go there; null: it stayed.', orNull(id<PositionId>())),
  meant: says('Where it should end; absent: as it was found.', optional(orNull(id<PositionId>()))),
});
/** What a position does when it is let go, as it was found and as it is meant. */
export type SpringAnswer = TypeOf<typeof springAnswerSchema>;

export const springAnswered = defineKind('spring-answered', {
  says: 'whether the handle springs back from a position; the newest of each counts',
  fields: { answer: springAnswerSchema },
  undo: ['tag', 'match'],
  reading: 'extends',
  keeps: newest('answer', ({ position }: SpringAnswer) => position),
});

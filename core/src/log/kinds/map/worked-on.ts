import { oneOf, REMARK_LETTERS, text } from '../../../schema/index.js';
import { defineKind } from '../define-kind.js';

/** What was done to a switch that makes earlier readings those of another one. */
export const WORKS_DONE = ['cleaned', 'rebuilt', 'contact-bent', 'other'] as const;
export type WorkDone = (typeof WORKS_DONE)[number];

export const workedOn = defineKind('worked-on', {
  says: 'that the switch was cleaned, rebuilt or bent: only what is read after it counts; its undo joins both stretches again',
  fields: { what: oneOf(WORKS_DONE), note: text(REMARK_LETTERS) },
  undo: ['map'],
  reading: 'looks back',
});

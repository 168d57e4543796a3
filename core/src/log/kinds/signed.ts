import { PERSON_LETTERS, REMARK_LETTERS, text } from '../../schema/index.js';
import { defineKind } from './define-kind.js';

export const signed = defineKind('signed', {
  says: 'who, and a note',
  fields: { by: text(PERSON_LETTERS), note: text(REMARK_LETTERS) },
  undo: [],
  reading: 'extends',
});

import {
  id,
  LABEL_LETTERS,
  list,
  object,
  orNull,
  POSITION_NAME_LETTERS,
  text,
  TITLE_LETTERS,
  type TypeOf,
} from '../../../schema/index.js';
import type { EntryId, SettingId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';

export const replacementSchema = object({
  entry: id<EntryId>(),
  name: text(TITLE_LETTERS),
  terminals: list(object({ from: id<TerminalId>(), to: text(LABEL_LETTERS) })),
  positions: list(object({ from: id<SettingId>(), to: text(POSITION_NAME_LETTERS) })),
});
/** A replacement that a person chose, with the terminal map that was shown. */
export type ChosenReplacement = TypeOf<typeof replacementSchema>;

export const chosen = defineKind('chosen', {
  says: 'a replacement with its terminal map',
  fields: { replacement: orNull(replacementSchema) },
  undo: ['match'],
  reading: 'extends',
});

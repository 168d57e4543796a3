import {
  id,
  list,
  MOST_SETTINGS,
  object,
  orNull,
  says,
  tagged,
  text,
  TITLE_LETTERS,
  type TypeOf,
} from '../../schema/index.js';
import type { EntryId, SettingId, TerminalId } from '../../switch/index.js';
import { defineKind } from './define-kind.js';

export const expectedTableSchema = object({
  source: says(
    'Where it came from: clicked in by hand, typed, an ordinary kind, or a known switch of the library.',
    tagged('kind', {
      drawn: {},
      library: { entry: id<EntryId>(), name: text(TITLE_LETTERS) },
      text: {},
      ordinary: { name: text(TITLE_LETTERS) },
    }),
  ),
  settings: says(
    'Settings that it speaks of; a setting that is not listed is not compared.',
    list(object({ setting: id<SettingId>(), joined: list(list(id<TerminalId>())) }), {
      maxItems: MOST_SETTINGS,
    }),
  ),
});
/** A table that the switch is expected to follow: per setting, groups of terminals that join. */
export type ExpectedTable = TypeOf<typeof expectedTableSchema>;

export const expected = defineKind('expected', {
  says: 'the table that the switch should follow',
  fields: { table: orNull(expectedTableSchema) },
  undo: ['verify'],
  reading: 'extends',
});

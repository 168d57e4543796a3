import {
  CODE_LETTERS,
  id,
  LABEL_LETTERS,
  list,
  object,
  oneOf,
  orNull,
  POSITION_NAME_LETTERS,
  REASON_LETTERS,
  says,
  text,
  TITLE_LETTERS,
  type TypeOf,
} from '../../../schema/index.js';
import { knownSwitchSchema, type EntryId, type SettingId, type TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { last } from '../keeps.js';

/** Where a requirement comes from: stated on every candidate. */
export const REQUIREMENT_SOURCES = ['should-be', 'as-mapped', 'another', 'machine'] as const;

export const replacementSchema = object({
  entry: id<EntryId>(),
  name: text(TITLE_LETTERS),
  terminals: says(
    'Old terminal to new; one old terminal stands several times where a junction is added.',
    list(object({ from: id<TerminalId>(), to: text(LABEL_LETTERS) })),
  ),
  positions: list(object({ from: id<SettingId>(), to: text(POSITION_NAME_LETTERS) })),
  source: says(
    'What it was asked to do; null: chosen before that was said.',
    orNull(oneOf(REQUIREMENT_SOURCES)),
  ),
  accepted: says(
    'Differences that were accepted, with the reason where one is asked for.',
    list(object({ code: text(CODE_LETTERS, 1), about: text(TITLE_LETTERS), reason: text(REASON_LETTERS) })),
  ),
  part: says('The entry as it was; null: chosen before that was kept.', orNull(knownSwitchSchema)),
});
/** A replacement that a person chose, with the terminal map that was shown and what was accepted. */
export type ChosenReplacement = TypeOf<typeof replacementSchema>;

/** Before differences were compared, only the map was kept. */
function withoutDifferences(what: Record<string, unknown>): Record<string, unknown> {
  const replacement = what['replacement'] as object | null;
  return replacement
    ? { ...what, replacement: { source: null, accepted: [], part: null, ...replacement } }
    : what;
}

export const chosen = defineKind('chosen', {
  says: 'a replacement with its terminal map, and the differences that were accepted',
  fields: { replacement: orNull(replacementSchema) },
  undo: ['match'],
  reading: 'extends',
  upgrades: { 1: withoutDifferences },
  keeps: last('replacement'),
});

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
  two,
  type TypeOf,
} from '../../../schema/index.js';
import type { EntryId, JobId, SettingId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { last } from '../keeps.js';

/** Pairs of one setting of which an expected table may say nothing: every pair of 96 terminals. */
const MOST_UNSAID = 4560;

export const expectedTableSchema = object({
  source: says(
    'Where it came from: clicked in by hand, typed, an ordinary kind, a known switch of the library, or the switch of another job.',
    tagged('kind', {
      drawn: {},
      library: { entry: id<EntryId>(), name: text(TITLE_LETTERS) },
      text: {},
      ordinary: { name: text(TITLE_LETTERS) },
      job: { job: id<JobId>(), title: text(TITLE_LETTERS) },
    }),
  ),
  settings: says(
    'Settings that it speaks of; a setting that is not listed is not compared.',
    list(
      object({
        setting: id<SettingId>(),
        joined: list(list(id<TerminalId>())),
        unsaid: says(
          'Pairs of which nothing is said.',
          list(two(id<TerminalId>()), { maxItems: MOST_UNSAID }),
        ),
      }),
      { maxItems: MOST_SETTINGS },
    ),
  ),
});
/** A table that the switch is expected to follow: per setting, groups of terminals that join; every other pair apart, but for those of which nothing is said. */
export type ExpectedTable = TypeOf<typeof expectedTableSchema>;

/** Before there was 'not said', every pair of a listed setting was spoken of. */
function allSaid(what: Record<string, unknown>): Record<string, unknown> {
  const table = what['table'] as { settings?: unknown } | null;
  if (!table || !Array.isArray(table.settings)) return what;
  const settings = table.settings.map((entry: object) => ({ unsaid: [], ...entry }));
  return { ...what, table: { ...table, settings } };
}

export const expected = defineKind('expected', {
  says: 'the table that the switch should follow',
  fields: { table: orNull(expectedTableSchema) },
  undo: ['verify'],
  reading: 'extends',
  upgrades: { 1: allSaid },
  keeps: last('table'),
});

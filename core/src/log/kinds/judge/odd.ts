import { id, list, object, oneOf, orNull, says, type TypeOf } from '../../../schema/index.js';
import type { SettingId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { newest } from '../keeps.js';

/** What may be odd about a pattern by itself. */
const ODD_CODES = [
  'both-closed',
  'always-closed',
  'alike',
  'joins-nothing',
  'cell-short',
  'cell-beyond',
] as const;

export const oddAboutSchema = object({
  code: oneOf(ODD_CODES),
  terminals: list(id<TerminalId>(), { maxItems: 3 }),
  settings: list(id<SettingId>(), { maxItems: 2 }),
});
/** What the question was about. */
export type OddAbout = TypeOf<typeof oddAboutSchema>;

export const ODD_ANSWERS = ['meant', 'fault'] as const;
export type OddAnswer = (typeof ODD_ANSWERS)[number];

/** What a question about something odd is known by, whichever way its terminals are named. */
export const oddKey = ({ code, terminals, settings }: OddAbout): string =>
  [code, terminals.toSorted().join(), settings.toSorted().join()].join(' ');

export interface OddSaid {
  about: OddAbout;
  answer: OddAnswer | null;
}

export const oddAnswered = defineKind('odd-answered', {
  says: 'whether what is odd about the pattern is meant, or is the fault; the newest of each counts',
  fields: {
    answers: list(
      object({ about: oddAboutSchema, answer: says('Null takes it back.', orNull(oneOf(ODD_ANSWERS))) }),
      { minItems: 1, maxItems: 200 },
    ),
  },
  undo: ['table'],
  reading: 'extends',
  keeps: newest(
    'answers',
    ({ about }: OddSaid) => oddKey(about),
    (said): said is OddSaid & { answer: OddAnswer } => said.answer !== null,
  ),
  since: 'work',
});

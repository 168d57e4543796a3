import {
  above,
  amount,
  CODE_NOTE_LETTERS,
  flag,
  id,
  LABEL_LETTERS,
  list,
  METER_NAME_LETTERS,
  MOST_TERMINALS,
  object,
  oneOf,
  optional,
  orNull,
  PERSON_LETTERS,
  POSITION_NAME_LETTERS,
  REASON_LETTERS,
  REMARK_LETTERS,
  says,
  text,
  words,
  type TypeOf,
} from '../../../schema/index.js';
import type { LoadId, PhotoId, SettingId, StepId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { inUse, newest } from '../keeps.js';

/** What is measured once the wires are back and before power. */
export const BEFORE_POWER = [
  'line-to-neutral',
  'live-to-earth',
  'open-contacts',
  'earth-to-case',
  'cord',
] as const;
export type BeforePower = (typeof BEFORE_POWER)[number];

export const powerRecordSchema = object({
  what: oneOf(BEFORE_POWER),
  position: says('The name of the position; empty: in any.', text(POSITION_NAME_LETTERS)),
  setting: says(
    'What that position stands for, which outlasts another name; absent: for none.',
    optional(id<SettingId>()),
  ),
  ohms: says('As shown; null takes the record back.', orNull(amount(0, 1e13))),
  limit: says('In ohms: at least for insulation, at most for earth; null: none.', orNull(above(0, 1e13))),
  instrument: text(METER_NAME_LETTERS, 1),
  by: text(PERSON_LETTERS, 1),
});
/** A measurement before power, with its instrument and limit. */
export type PowerRecord = TypeOf<typeof powerRecordSchema>;

export const powerRecorded = defineKind('power-recorded', {
  says: 'a measurement before power; the newest of each thing and position counts',
  fields: { record: powerRecordSchema },
  undo: ['refit'],
  reading: 'extends',
  // Version 1 had the name of the position alone.
  upgrades: { 1: (what) => what },
  keeps: newest(
    'record',
    ({ what, position, setting }: PowerRecord) => `${what} ${setting ?? position}`,
    ({ ohms }) => ohms !== null,
  ),
  since: 'choice',
});

export const JUMPER_OUTCOMES = ['runs', 'does-not', 'stops'] as const;
export type JumperOutcome = (typeof JUMPER_OUTCOMES)[number];

export const jumperTestSchema = object({
  setting: id<SettingId>(),
  joined: says(
    'Terminals whose wires were joined.',
    list(list(id<TerminalId>(), { minItems: 2, maxItems: MOST_TERMINALS }), {
      minItems: 1,
      maxItems: MOST_TERMINALS,
    }),
  ),
  outcome: oneOf(JUMPER_OUTCOMES),
  by: text(PERSON_LETTERS, 1),
});
/** Wires that were joined so as to stand in for a setting, and what the machine did. */
export type JumperTest = TypeOf<typeof jumperTestSchema>;

export const jumperTested = defineKind('jumper-tested', {
  says: 'wires joined to stand in for a setting, and what the machine did; the newest of a setting counts',
  fields: { test: jumperTestSchema },
  undo: ['refit'],
  reading: 'extends',
  keeps: newest('test', ({ setting }: JumperTest) => setting),
});

/** From where and how a function is tried. */
export const FUNCTION_RESULTS = ['as-it-should', 'fails', 'not-tried'] as const;
export type FunctionResult = (typeof FUNCTION_RESULTS)[number];

/** What a load does that does not as it should. */
const DOES_INSTEAD = ['off', 'on', 'weak', 'reversed', 'sometimes'] as const;

export const functionTrySchema = object({
  line: says('`load` with a setting and a load, or the id of a line of the person.', text(120, 1)),
  result: says('null: nothing is said any more.', orNull(oneOf(FUNCTION_RESULTS))),
  does: says('Of a load that fails: what it does instead.', optional(oneOf(DOES_INSTEAD))),
  live: says('A live reading beside it; a record, no proof.', text(REMARK_LETTERS)),
  why: says('Of a live reading: the reason, and who is competent.', text(REASON_LETTERS)),
});
/** What a load did under power. */
export type FunctionTry = TypeOf<typeof functionTrySchema>;

export const functionTried = defineKind('function-tried', {
  says: 'what was tried under power, and whether it does as it should; the newest of each line counts',
  fields: { tried: list(functionTrySchema, { minItems: 1, maxItems: 2000 }) },
  undo: ['refit'],
  reading: 'extends',
  // Version 1 had one a time.
  upgrades: {
    1: ({ tried, ...what }) => ({ ...what, tried: [tried] }),
    // Version 3 knows what a load does instead.
    2: (what) => what,
  },
  keeps: newest(
    'tried',
    ({ line }: FunctionTry) => line,
    (tried): tried is FunctionTry & { result: FunctionResult } => tried.result !== null,
  ),
  since: 'choice',
});

export const functionLineSchema = object({
  id: id<StepId>(),
  setting: orNull(id<SettingId>()),
  load: orNull(id<LoadId>()),
  must: says('What it must do, in the words of the person.', words(REMARK_LETTERS)),
  removed: flag,
});
/** A function of the machine in the words of a person, where no circuit says it. */
export type FunctionLine = TypeOf<typeof functionLineSchema>;

export const functionAsked = defineKind('function-asked', {
  says: 'a function to be tried, in the words of the person',
  fields: { line: functionLineSchema },
  undo: ['refit'],
  reading: 'extends',
  keeps: inUse('line'),
});

const residualSchema = object({
  id: id<StepId>(),
  text: words(REMARK_LETTERS),
  reason: says('Why it is accepted.', words(REASON_LETTERS)),
  removed: flag,
});

export const residualNoted = defineKind('residual-noted', {
  says: 'a defect that stays, with the reason why it is accepted',
  fields: { residual: residualSchema },
  undo: ['refit'],
  reading: 'extends',
  keeps: inUse('residual'),
});

export const REFIT_NOTES = ['advice', 'next-look', 'code-note', 'done'] as const;
export type RefitNote = (typeof REFIT_NOTES)[number];

export const refitNoted = defineKind('refit-noted', {
  says: 'advice to the owner, when to look next, the code note of the shop, what was done; the newest of each counts',
  fields: { field: oneOf(REFIT_NOTES), text: text(CODE_NOTE_LETTERS) },
  undo: ['refit'],
  reading: 'extends',
  keeps: newest(null, ({ field }: { field: RefitNote }) => field),
});

const standing = oneOf(['done', 'failed', 'not-done', 'nothing-to-do'] as const);

export const signedRefitSchema = object({
  by: text(PERSON_LETTERS, 1),
  transfer: standing,
  check: standing,
  measured: standing,
  function: standing,
  residual: says('Defects that stay.', list(text(REMARK_LETTERS))),
  notTested: list(text(LABEL_LETTERS * 8)),
  evidence: says('A hash of the ids of the live events that it rests on.', text(16, 16)),
});
/** How it stood when somebody signed that it goes back to its owner. */
export type SignedRefit = TypeOf<typeof signedRefitSchema>;

export const refitSigned = defineKind('refit-signed', {
  says: 'how all stood when somebody signed for it, with a hash of what it rests on',
  fields: { refit: signedRefitSchema },
  undo: ['refit'],
  reading: 'extends',
});

export const REPORT_PARTS = [
  'found',
  'table',
  'picture',
  'verdict',
  'replacement',
  'transfer',
  'tests',
  'not-tested',
  'photos',
  'readings',
] as const;
export type ReportPart = (typeof REPORT_PARTS)[number];

export const reportShaped = defineKind('report-shaped', {
  says: 'what is left out of the report; the newest counts',
  fields: {
    leftOut: list(oneOf(REPORT_PARTS), { uniqueItems: true }),
    photosOut: says(
      'Photos that are left out, one by one; absent: none.',
      optional(list(id<PhotoId>(), { uniqueItems: true, maxItems: 2000 })),
    ),
  },
  undo: ['refit'],
  reading: 'extends',
  // Version 2 knows photos that are left out.
  upgrades: { 1: (what) => what },
});

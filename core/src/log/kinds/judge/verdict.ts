import {
  above,
  amount,
  id,
  list,
  object,
  oneOf,
  optional,
  orNull,
  PERSON_LETTERS,
  REMARK_LETTERS,
  SAFETY_NOTE_LETTERS,
  says,
  text,
  type TypeOf,
} from '../../../schema/index.js';
import type { PhotoId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { last, newest } from '../keeps.js';

export const insulationTestSchema = object({
  between: says('What was tied together, against what.', text(SAFETY_NOTE_LETTERS, 1)),
  testVolts: says('DC volts of the insulation tester.', above(0, 10_000)),
  megohms: says('As shown; null takes the record back.', orNull(amount(0, 1e6))),
  limitMegohms: above(0, 1e6),
});
/** A test with an insulation tester; a multimeter on ohms is none. */
export type InsulationTest = TypeOf<typeof insulationTestSchema>;

export const insulationTested = defineKind('insulation-tested', {
  says: 'a test with an insulation tester, and its limit; the newest counts',
  fields: { test: insulationTestSchema },
  undo: ['verify'],
  reading: 'extends',
  keeps: last('test'),
  since: 'work',
});

/** What is looked at for the mechanics of a switch. */
export const MECHANICAL_SIGNS = [
  'detents',
  'returns',
  'moves-freely',
  'not-charred',
  'rivets-tight',
] as const;
export type MechanicalSign = (typeof MECHANICAL_SIGNS)[number];

/** What its records are told apart by. */
export interface MechanicsSaid {
  sign: MechanicalSign;
  terminal: TerminalId | null;
  found: 'good' | 'at-fault' | null;
}

export const mechanicsNoted = defineKind('mechanics-noted', {
  says: 'one thing about the mechanics that is in order or not; null takes it back',
  fields: {
    sign: oneOf(MECHANICAL_SIGNS),
    found: orNull(oneOf(['good', 'at-fault'] as const)),
    terminal: says('Where it was seen; null: of the whole.', orNull(id<TerminalId>())),
    photo: orNull(id<PhotoId>()),
  },
  undo: ['verify'],
  reading: 'extends',
  upgrades: { 1: (what) => ({ terminal: null, photo: null, ...what }) },
  keeps: newest(
    null,
    ({ sign, terminal }: MechanicsSaid) => `${sign} ${terminal}`,
    (said): said is MechanicsSaid & { found: 'good' | 'at-fault' } => said.found !== null,
  ),
  since: 'work',
});

/** What is said of a switch as a whole. */
export const WHOLES = [
  'nothing-mapped',
  'not-finished',
  'disputed',
  'by-ear',
  'questions',
  'fails',
  'intermittent',
  'wiring-passes',
  'wiring-and-contacts-pass',
  'passes',
] as const;
export type Whole = (typeof WHOLES)[number];
/** As it was said before. */
const WHOLES_BEFORE = ['pass', 'fail', 'as-far-as-tested', 'not-yet'] as const;

const outcome = oneOf(['pass', 'fail', 'not-yet', 'cannot-tell'] as const);

export const signedVerdictSchema = object({
  by: text(PERSON_LETTERS, 1),
  note: says('Defects that were accepted, with the reason.', text(REMARK_LETTERS)),
  pattern: outcome,
  contacts: outcome,
  insulation: outcome,
  mechanics: outcome,
  whole: says('The first four as it was said before.', oneOf([...WHOLES_BEFORE, ...WHOLES])),
  evidence: says('A hash of the ids of the live events that it rests on.', text(16, 16)),
  engine: says('The version of what worked it out.', text(40, 1)),
  shown: says(
    'The sentences that were shown.',
    optional(
      object({
        headline: text(REMARK_LETTERS),
        lines: list(text(REMARK_LETTERS)),
        notTested: list(text(REMARK_LETTERS)),
      }),
    ),
  ),
});
/** The verdict as it was shown when somebody signed it. */
export type SignedVerdict = TypeOf<typeof signedVerdictSchema>;

export const verdictSigned = defineKind('verdict-signed', {
  says: 'the verdict as it was shown, with who answers for it and a hash of what it rests on',
  fields: { verdict: signedVerdictSchema },
  undo: ['verify'],
  reading: 'extends',
});

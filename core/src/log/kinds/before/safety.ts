import {
  amount,
  CODE_NOTE_LETTERS,
  flag,
  id,
  list,
  MOST_SAFETY_LINES,
  object,
  oneOf,
  orNull,
  PERSON_LETTERS,
  PROVING_SOURCE_LETTERS,
  REASON_LETTERS,
  SAFETY_NOTE_LETTERS,
  says,
  tagged,
  text,
  type TypeOf,
} from '../../../schema/index.js';
import type { LineId, RecordId } from '../../../switch/index.js';
import { CURRENTS, deadProofFields, signedVolts } from './dead-proof.js';
import { defineKind } from '../define-kind.js';
import { last } from '../keeps.js';

/** Where the energy comes from. */
export const SUPPLIES = ['plug-in', 'fixed', 'battery', 'extra-low'] as const;
export type SupplyKind = (typeof SUPPLIES)[number];

/** What a line of the list is about; `own` is a line of the shop's own. */
export const SAFETY_LINES = [
  'isolate',
  'lock',
  'prove-tester',
  'prove-dead',
  'prove-again',
  'discharge',
  'other-circuits',
  'meter',
  'own',
] as const;
export type SafetyLineKind = (typeof SAFETY_LINES)[number];

export const safetyLineSchema = object({
  id: id<LineId>(),
  kind: oneOf(SAFETY_LINES),
  text: orNull(text(REASON_LETTERS, 1)),
  why: orNull(text(REASON_LETTERS)),
});
/** A line as it stood when the list was begun. Without words of its own it says the standard ones. */
export type SafetyLine = TypeOf<typeof safetyLineSchema>;

export const TESTERS = ['two-pole', 'meter-on-volts', 'pen'] as const;
export type Tester = (typeof TESTERS)[number];

const volts = amount(0, 1e6);

/** What keeps high voltage when it is off (common practice: microwave capacitor, picture tube, flash). */
export const STORES = ['microwave', 'picture-tube', 'flash', 'other'] as const;
export type HighVoltageStore = (typeof STORES)[number];

export const safetyAnswerSchema = tagged('kind', {
  done: { note: text(SAFETY_NOTE_LETTERS) },
  'not-applicable': { reason: text(REASON_LETTERS, 1) },
  /** The tester, and the known source that it was tried on. */
  proved: { tester: oneOf(TESTERS), source: text(PROVING_SOURCE_LETTERS, 1) },
  /** The highest voltage found between any conductors and to earth: no longer written, since it does not say against what. */
  dead: { volts, everyPosition: flag },
  /** What was measured, against what, before isolation and after it. */
  proof: deadProofFields,
  /** Stored energy: volts found, and volts after it went through a resistor. */
  discharged: { before: volts, after: volts },
  /** Nobody measured: what the line would prove stays unproved. */
  'not-measured': {},
  /** It stores volts that kill after the plug is out: nothing goes on from here. */
  'high-voltage': { store: oneOf(STORES) },
});
/** What was answered to a line. */
export type SafetyAnswer = TypeOf<typeof safetyAnswerSchema>;

export const safetyListSchema = object({
  supply: oneOf(SUPPLIES),
  lines: list(safetyLineSchema, { minItems: 1, maxItems: MOST_SAFETY_LINES }),
  codeNote: says("The shop's note on local codes, as it stood.", text(CODE_NOTE_LETTERS)),
});
/** The list of a job, as it was begun. */
export type SafetyList = TypeOf<typeof safetyListSchema>;

export const liveRecordSchema = object({
  id: id<RecordId>(),
  where: text(SAFETY_NOTE_LETTERS, 1),
  volts: signedVolts,
  current: says('Null where it was not written down.', orNull(oneOf(CURRENTS))),
  reason: says('Why it could not be done dead.', text(REASON_LETTERS, 1)),
  by: says('The competent person who did it.', text(PERSON_LETTERS, 1)),
});
/** A live measurement: recorded, never used for mapping. */
export type LiveRecord = TypeOf<typeof liveRecordSchema>;

const onTheList = { undo: ['safe'], reading: 'extends' } as const;

export const safetyBegun = defineKind('safety-begun', {
  says: 'a safety list with its lines as they stood; earlier answers no longer count',
  fields: { list: safetyListSchema },
  ...onTheList,
});

export const safetyAnswered = defineKind('safety-answered', {
  says: 'an answer to a line',
  fields: { line: id<LineId>(), answer: orNull(safetyAnswerSchema) },
  ...onTheList,
});

export const safetyAnsweredTogether = defineKind('safety-answered-together', {
  says: 'answers to several lines, given with one tap',
  fields: {
    answers: list(object({ line: id<LineId>(), answer: safetyAnswerSchema }), {
      minItems: 1,
      maxItems: MOST_SAFETY_LINES,
    }),
  },
  ...onTheList,
});

export const safetySigned = defineKind('safety-signed', {
  says: 'who answers for the list as it stands',
  fields: { by: text(PERSON_LETTERS, 1) },
  ...onTheList,
});

export const reEnergised = defineKind('re-energised', {
  says: 'it had power again: what was proved dead no longer is',
  fields: { reason: text(REASON_LETTERS) },
  ...onTheList,
});

export const liveRecorded = defineKind('live-recorded', {
  says: 'a live measurement with its reason and who did it',
  fields: { record: liveRecordSchema },
  ...onTheList,
  upgrades: {
    1: (what) => ({ ...what, record: { ...(what['record'] as object), current: null } }),
  },
});

export const wiresOff = defineKind('wires-off', {
  says: 'whether the wires are off the switch; with them on, readings are in circuit',
  fields: { off: flag },
  ...onTheList,
  keeps: last('off'),
});

/** What was done about bare conductors that stay behind when a switch comes out. */
export const BARE_ENDS = ['capped', 'none'] as const;
export type BareEnds = (typeof BARE_ENDS)[number];

export const endsCapped = defineKind('ends-capped', {
  says: 'that bare conductors left behind are capped or tagged, or that there are none; null takes it back',
  fields: { ends: orNull(oneOf(BARE_ENDS)) },
  ...onTheList,
  keeps: last('ends'),
});

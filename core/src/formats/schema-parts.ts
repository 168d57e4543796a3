import {
  CAPTION_LETTERS,
  CODE_LETTERS,
  CODE_NOTE_LETTERS,
  EVENT_SCHEMA,
  EXPLANATIONS,
  EXTENTS,
  FASTENERS,
  FASTENER_PLACE_LETTERS,
  GOES_TO_LETTERS,
  HOW_KNOWN,
  KIND_LETTERS,
  LABEL_LETTERS,
  LINK_KINDS,
  LINK_NAME_LETTERS,
  LOOSE_LETTERS,
  MARKING_LETTERS,
  MECHANICS,
  MECHANICS_LETTERS,
  METER_NAME_LETTERS,
  MOST_FASTENERS,
  MOST_FASTENERS_OF_A_KIND,
  MOST_LINKS,
  MOST_NAMED_PAIRS,
  MOST_SAFETY_LINES,
  MOST_SETTINGS,
  MOST_TERMINALS,
  NOTE_FIELDS,
  NOTE_LETTERS,
  ORDERS,
  PART_FORMS,
  PART_NOTE_LETTERS,
  PERSON_LETTERS,
  PHOTO_EDGE,
  PHOTO_PURPOSES,
  POSITION_NAME_LETTERS,
  PROVING_SOURCE_LETTERS,
  REASON_LETTERS,
  REMARK_LETTERS,
  SAFETY_LINES,
  SAFETY_NOTE_LETTERS,
  SISTER_LETTERS,
  STEP_LETTERS,
  SUPPLIES,
  SURENESS,
  TERMINATIONS,
  TESTERS,
  TEST_RESULTS,
  TITLE_LETTERS,
  WIRE_SIZE_LETTERS,
  WIRE_TAG_LETTERS,
} from '../switch/index.js';
import {
  count,
  flag,
  fraction,
  id,
  list,
  object,
  oneOf,
  only,
  orNull,
  tagged,
  text,
  time,
  type Schema,
} from './schema-builders.js';
import { changeSchema } from './structure-schema.js';

const ohms: Schema = { type: 'number', minimum: 0, maximum: 1e12 };
const lead = list(id, { minItems: 1, maxItems: MOST_TERMINALS, uniqueItems: true });

const value = tagged('kind', {
  ohms: { ohms },
  over: {},
  tone: { sounded: flag },
  unsteady: {},
});
const set: Schema = { const: true };
const reading = object({ id, setting: id, red: lead, black: lead, value, fromOtherSide: set }, [
  'fromOtherSide',
]);
const ask = tagged(
  'kind',
  {
    sweep: { setting: id, red: id, black: list(id, { minItems: 1, maxItems: MOST_TERMINALS }) },
    pair: { setting: id, red: id, black: id, fromOtherSide: set },
    turn: { red: id, black: id, settings: list(id, { minItems: 1, maxItems: MOST_SETTINGS }) },
    bundle: { red: lead, black: lead, settings: list(id, { minItems: 1, maxItems: MOST_SETTINGS }) },
  },
  ['fromOtherSide'],
);
const prompt = object({ id, ask });
const clipped = list(id, { maxItems: MOST_TERMINALS, uniqueItems: true });
const handSeconds: Schema = { type: 'number', minimum: 0, maximum: 120 };
const meter = object({
  name: text(METER_NAME_LETTERS),
  resolutionOhms: { type: 'number', exclusiveMinimum: 0, maximum: 1000 },
  percent: { type: 'number', minimum: 0, maximum: 50 },
  counts: { type: 'number', minimum: 0, maximum: 1000 },
  beeperOhms: ohms,
  lowOhms: ohms,
  highOhms: ohms,
});

const revision: Schema = { type: 'integer', minimum: 0, maximum: Number.MAX_SAFE_INTEGER };
const source = oneOf(['typed', 'meter', 'simulated']);
const expectedTable = object({
  source: tagged('kind', { drawn: {}, library: { entry: id, name: text(TITLE_LETTERS) } }),
  settings: list(object({ setting: id, joined: list(list(id)) }), { maxItems: MOST_SETTINGS }),
});
const replacement = object({
  entry: id,
  name: text(TITLE_LETTERS),
  terminals: list(object({ from: id, to: text(LABEL_LETTERS) })),
  positions: list(object({ from: id, to: text(POSITION_NAME_LETTERS) })),
});

const amount: Schema = { type: 'number', minimum: 0, maximum: 1e6 };
const volts = amount;
const markingRuns = list(object({ text: text(MARKING_LETTERS, 1), sure: oneOf(SURENESS) }), {
  maxItems: MARKING_LETTERS,
});
const box = object({ photo: id, x: fraction, y: fraction, width: fraction, height: fraction });
const part = object({
  id,
  form: oneOf(PART_FORMS),
  terminals: list(id, { minItems: 2, maxItems: 2, uniqueItems: true }),
  ohms: orNull(ohms),
  note: text(PART_NOTE_LETTERS),
  on: flag,
  removed: flag,
});
const wire = object({
  id,
  tag: text(WIRE_TAG_LETTERS, 1),
  color: { type: 'string', pattern: '^([A-Z]{2}){0,3}$', maxLength: 6 },
  size: text(WIRE_SIZE_LETTERS),
  termination: orNull(oneOf(TERMINATIONS)),
  goesTo: text(GOES_TO_LETTERS),
  liveThough: flag,
  terminal: orNull(id),
  removed: flag,
});
const photo = object({
  id,
  purpose: oneOf(PHOTO_PURPOSES),
  caption: text(CAPTION_LETTERS),
  width: count(1, PHOTO_EDGE),
  height: count(1, PHOTO_EDGE),
  removed: flag,
});
const worthInputs = object({
  part: orNull(amount),
  minutes: orNull(amount),
  ratePerHour: orNull(amount),
  postage: orNull(amount),
  newMachine: orNull(amount),
  newLife: orNull(amount),
  lifeLeft: orNull(amount),
  limit: orNull(amount),
  dangerous: flag,
});
const safetyLine = object({
  id,
  kind: oneOf(SAFETY_LINES),
  text: orNull(text(REASON_LETTERS, 1)),
  why: orNull(text(REASON_LETTERS)),
});
const safetyAnswer = tagged('kind', {
  done: { note: text(SAFETY_NOTE_LETTERS) },
  'not-applicable': { reason: text(REASON_LETTERS, 1) },
  proved: { tester: oneOf(TESTERS), source: text(PROVING_SOURCE_LETTERS, 1) },
  dead: { volts, everyPosition: flag },
  discharged: { before: volts, after: volts },
});
const fastener = object({
  count: count(1, MOST_FASTENERS_OF_A_KIND),
  kind: oneOf(FASTENERS),
  length: orNull({ type: 'number', exclusiveMinimum: 0, maximum: 1000 }),
  place: text(FASTENER_PLACE_LETTERS),
});
const stripStep = object({
  id,
  text: text(STEP_LETTERS),
  photo: orNull(id),
  fasteners: list(fastener, { maxItems: MOST_FASTENERS }),
  loose: text(LOOSE_LETTERS),
  removed: flag,
});

/** What happened: the body of an event. */
export const deedSchema = tagged('kind', {
  answered: {
    act: oneOf(['pair', 'sweep', 'turn', 'bundle']),
    prompt: orNull(id),
    source,
    inCircuit: flag,
    readings: list(reading, { minItems: 1, maxItems: MOST_SETTINGS }),
  },
  withdrawn: { target: id, basedOn: orNull(revision) },
  restored: { target: id, basedOn: orNull(revision) },
  superseded: { reading: id, replacement: orNull(reading), source },
  restructured: { change: changeSchema, basedOn: revision },
  explained: {
    readings: list(id, { minItems: 1 }),
    as: oneOf(EXPLANATIONS),
    note: text(REMARK_LETTERS),
  },
  assumed: {
    assumption: tagged('kind', { 'blocks-apart': { blocks: list(list(id)) } }),
    by: text(PERSON_LETTERS),
  },
  'part-declared': { part },
  'meter-checked': { leadsTogether: value, meter },
  'meter-failed': { leadsTogether: value },
  'prompt-shown': { prompt },
  skipped: { prompt, reason: oneOf(['later', 'cannot-reach']) },
  approached: {
    approach: object({
      order: oneOf(ORDERS),
      extent: oneOf(EXTENTS),
      clips: count(0, MOST_TERMINALS),
      hands: orNull(
        object({
          moveLead: handSeconds,
          moveBoth: handSeconds,
          turn: handSeconds,
          read: handSeconds,
          holdMomentary: handSeconds,
          clip: handSeconds,
        }),
      ),
    }),
  },
  'recheck-begun': {},
  'return-begun': {},
  'pairs-named': {
    pairs: list(list(id, { minItems: 2, maxItems: 2, uniqueItems: true }), { maxItems: MOST_NAMED_PAIRS }),
  },
  'clips-touched': { red: clipped, black: clipped, silent: clipped },
  expected: { table: orNull(expectedTable) },
  chosen: { replacement: orNull(replacement) },
  noted: { field: oneOf(NOTE_FIELDS), text: text(NOTE_LETTERS) },
  transcribed: { marking: object({ id, runs: markingRuns, box: orNull(box) }) },
  'sister-noted': { sister: object({ id, text: text(SISTER_LETTERS, 1), job: orNull(id), removed: flag }) },
  'photo-taken': { photo },
  'worth-noted': { inputs: worthInputs },
  'safety-begun': {
    list: object({
      supply: oneOf(SUPPLIES),
      lines: list(safetyLine, { minItems: 1, maxItems: MOST_SAFETY_LINES }),
      codeNote: text(CODE_NOTE_LETTERS),
    }),
  },
  'safety-answered': { line: id, answer: orNull(safetyAnswer) },
  'safety-signed': { by: text(PERSON_LETTERS, 1) },
  're-energised': { reason: text(REASON_LETTERS) },
  'live-recorded': {
    record: object({
      id,
      where: text(SAFETY_NOTE_LETTERS, 1),
      volts,
      reason: text(REASON_LETTERS, 1),
      by: text(PERSON_LETTERS, 1),
    }),
  },
  'wires-off': { off: flag },
  'path-laid': {
    links: list(object({ id, kind: oneOf(LINK_KINDS), name: orNull(text(LINK_NAME_LETTERS)) }), {
      maxItems: MOST_LINKS,
    }),
  },
  'path-tested': {
    test: object({
      id,
      links: list(id, { minItems: 1, maxItems: MOST_LINKS, uniqueItems: true }),
      result: orNull(oneOf(TEST_RESULTS)),
      flexed: flag,
      ohms: orNull(ohms),
    }),
  },
  'wire-tagged': { wire },
  stripped: { step: stripStep },
  measured: {
    fact: object({ field: oneOf(MECHANICS), value: text(MECHANICS_LETTERS), how: oneOf(HOW_KNOWN) }),
  },
  signed: { by: text(PERSON_LETTERS), note: text(REMARK_LETTERS) },
  'left-out': { event: id, was: text(KIND_LETTERS), because: text(CODE_LETTERS) },
});

/** One event with its envelope. */
export const eventSchema = object({
  id,
  device: id,
  sequence: { type: 'integer', minimum: 1, maximum: Number.MAX_SAFE_INTEGER },
  clock: { type: 'integer', minimum: 1, maximum: Number.MAX_SAFE_INTEGER },
  at: time,
  schema: only(EVENT_SCHEMA),
  what: deedSchema,
});

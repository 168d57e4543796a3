import {
  ACTUATOR_FORMS,
  EVENT_SCHEMA,
  EXPLANATIONS,
  EXTENTS,
  FACES,
  FASTENERS,
  HOW_KNOWN,
  LINK_KINDS,
  MECHANICS,
  NOTE_FIELDS,
  ORDERS,
  PART_FORMS,
  PHOTO_PURPOSES,
  PLAIN_LAYOUTS,
  SAFETY_LINES,
  SIDES,
  SUPPLIES,
  SURENESS,
  TERMINAL_ROLES,
  TERMINATIONS,
  TEST_RESULTS,
  TESTERS,
} from '../switch/index.js';

/** A piece of JSON Schema (draft 2020-12) as plain data. */
export type Schema = Record<string, unknown>;

export const object = (properties: Record<string, Schema>, optional: string[] = []): Schema => ({
  type: 'object',
  properties,
  required: Object.keys(properties).filter((name) => !optional.includes(name)),
  additionalProperties: false,
});
export const list = (items: Schema, limits: Schema = {}): Schema => ({ type: 'array', items, ...limits });
export const text = (maxLength: number, minLength = 0): Schema => ({ type: 'string', minLength, maxLength });
export const orNull = (schema: Schema): Schema => ({ anyOf: [schema, { type: 'null' }] });
export const oneOf = (values: readonly string[]): Schema => ({ enum: [...values] });
const only = (value: string | number): Schema => ({ const: value });
const flag: Schema = { type: 'boolean' };
const count = (minimum: number, maximum: number): Schema => ({ type: 'integer', minimum, maximum });
const fraction: Schema = { type: 'number', minimum: 0, maximum: 1 };
/** Cases of a tagged union, told apart by one property, so that a complaint names the case that was meant. */
export const tagged = (
  tag: string,
  cases: Record<string, Record<string, Schema>>,
  optional: string[] = [],
): Schema => ({
  type: 'object',
  discriminator: { propertyName: tag },
  required: [tag],
  oneOf: Object.entries(cases).map(([value, properties]) =>
    object({ [tag]: only(value), ...properties }, optional),
  ),
});

export const id: Schema = {
  type: 'string',
  pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$',
};
export const time: Schema = { type: 'string', format: 'date-time', maxLength: 40 };
const ohms: Schema = { type: 'number', minimum: 0, maximum: 1e12 };
const lead = list(id, { minItems: 1, maxItems: 64, uniqueItems: true });

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
    sweep: { setting: id, red: id, black: list(id, { minItems: 1, maxItems: 64 }) },
    pair: { setting: id, red: id, black: id, fromOtherSide: set },
    turn: { red: id, black: id, settings: list(id, { minItems: 1, maxItems: 256 }) },
    bundle: { red: lead, black: lead, settings: list(id, { minItems: 1, maxItems: 256 }) },
  },
  ['fromOtherSide'],
);
const prompt = object({ id, ask });
const clipped = list(id, { maxItems: 64, uniqueItems: true });
const handSeconds: Schema = { type: 'number', minimum: 0, maximum: 120 };
const meter = object({
  name: text(80),
  resolutionOhms: { type: 'number', exclusiveMinimum: 0, maximum: 1000 },
  percent: { type: 'number', minimum: 0, maximum: 50 },
  counts: { type: 'number', minimum: 0, maximum: 1000 },
  beeperOhms: ohms,
  lowOhms: ohms,
  highOhms: ohms,
});

const terminal = object({
  id,
  label: text(24, 1),
  marking: orNull(text(24)),
  role: oneOf(TERMINAL_ROLES),
});
const pose = tagged('kind', {
  angle: { degrees: { type: 'number', minimum: -360, maximum: 360 } },
  keys: { down: list(count(1, 24), { maxItems: 24, uniqueItems: true }) },
});
const position = object({
  id,
  name: orNull(text(40)),
  rests: oneOf(['maintained', 'momentary']),
  returnsTo: orNull(id),
  pose: orNull(pose),
});
const closedBy = oneOf(['declared', 'stop', 'round']);
const setting = object({
  id,
  at: { type: 'object', additionalProperties: id, propertyNames: id },
  condition: orNull(text(80)),
  need: oneOf(['required', 'optional', 'impossible']),
});
const actuator = object({
  id,
  name: text(40),
  form: oneOf(ACTUATOR_FORMS),
  positions: list(position, { maxItems: 64 }),
  closed: orNull(closedBy),
});
const layout = tagged('kind', {
  ...Object.fromEntries(PLAIN_LAYOUTS.map((kind) => [kind, {}])),
  wafers: { decks: count(1, 12), places: count(2, 48) },
  grid: { rows: count(1, 24), columns: count(1, 48) },
  photo: { photo: id, side: oneOf(SIDES) },
});
const spot = tagged('on', {
  wafers: { deck: count(0, 11), face: oneOf(FACES), clock: count(0, 47) },
  grid: { row: count(0, 23), column: count(0, 47) },
  photo: { photo: id, x: fraction, y: fraction },
});

const change = tagged('change', {
  described: {
    terminals: list(terminal, { maxItems: 96 }),
    actuators: list(actuator, { maxItems: 16 }),
    settings: list(setting, { maxItems: 256 }),
    layout,
  },
  'terminal-added': { terminal },
  'terminal-renamed': { terminal: id, label: text(24, 1), marking: orNull(text(24)) },
  relabelled: {
    labels: list(object({ terminal: id, label: text(24, 1), marking: orNull(text(24)) }), {
      minItems: 1,
      maxItems: 96,
    }),
  },
  'terminal-role': { terminal: id, role: oneOf(TERMINAL_ROLES) },
  'terminal-retired': { terminal: id },
  'position-added': { actuator: id, position, after: orNull(id), settings: list(setting, { maxItems: 256 }) },
  'position-renamed': { position: id, name: orNull(text(40)) },
  'position-posed': {
    position: id,
    rests: oneOf(['maintained', 'momentary']),
    returnsTo: orNull(id),
    pose: orNull(pose),
  },
  'position-retired': { position: id },
  'position-merged': { position: id, into: id },
  'positions-closed': { actuator: id, by: closedBy },
  'actuator-described': { actuator: id, name: text(40), form: oneOf(ACTUATOR_FORMS) },
  'actuator-added': { actuator, home: id, settings: list(setting, { maxItems: 256 }) },
  'setting-added': { setting },
  'setting-needed': { setting: id, need: oneOf(['required', 'optional', 'impossible']) },
  'laid-out': { layout },
  placed: { spots: list(object({ terminal: id, spot }), { minItems: 1, maxItems: 96 }) },
});

const revision: Schema = { type: 'integer', minimum: 0 };
const source = oneOf(['typed', 'meter', 'simulated']);
const expectedTable = object({
  source: tagged('kind', { drawn: {}, library: { entry: id, name: text(120) } }),
  settings: list(object({ setting: id, joined: list(list(id)) }), { maxItems: 256 }),
});
const replacement = object({
  entry: id,
  name: text(120),
  terminals: list(object({ from: id, to: text(24) })),
  positions: list(object({ from: id, to: text(40) })),
});

const amount: Schema = { type: 'number', minimum: 0, maximum: 1e6 };
const volts = amount;
const markingRuns = list(object({ text: text(120, 1), sure: oneOf(SURENESS) }), { maxItems: 120 });
const box = object({ photo: id, x: fraction, y: fraction, width: fraction, height: fraction });
const part = object({
  id,
  form: oneOf(PART_FORMS),
  terminals: list(id, { minItems: 2, maxItems: 2, uniqueItems: true }),
  ohms: orNull(ohms),
  note: text(200),
  on: flag,
  removed: flag,
});
const wire = object({
  id,
  tag: text(12, 1),
  color: { type: 'string', pattern: '^([A-Z]{2}){0,3}$', maxLength: 6 },
  size: text(24),
  termination: orNull(oneOf(TERMINATIONS)),
  goesTo: text(80),
  liveThough: flag,
  terminal: orNull(id),
  removed: flag,
});
const photo = object({
  id,
  purpose: oneOf(PHOTO_PURPOSES),
  caption: text(200),
  width: count(1, 40000),
  height: count(1, 40000),
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
  text: orNull(text(300, 1)),
  why: orNull(text(300)),
});
const safetyAnswer = tagged('kind', {
  done: { note: text(200) },
  'not-applicable': { reason: text(300, 1) },
  proved: { tester: oneOf(TESTERS), source: text(120, 1) },
  dead: { volts, everyPosition: flag },
  discharged: { before: volts, after: volts },
});
const fastener = object({
  count: count(1, 99),
  kind: oneOf(FASTENERS),
  length: orNull({ type: 'number', exclusiveMinimum: 0, maximum: 1000 }),
  place: text(120),
});
const stripStep = object({
  id,
  text: text(300),
  photo: orNull(id),
  fasteners: list(fastener, { maxItems: 24 }),
  loose: text(200),
  removed: flag,
});

/** What happened: the body of an event. */
export const deedSchema = tagged('kind', {
  answered: {
    act: oneOf(['pair', 'sweep', 'turn', 'bundle']),
    prompt: orNull(id),
    source,
    inCircuit: flag,
    readings: list(reading, { minItems: 1, maxItems: 256 }),
  },
  withdrawn: { target: id, basedOn: orNull(revision) },
  restored: { target: id, basedOn: orNull(revision) },
  superseded: { reading: id, replacement: orNull(reading), source },
  restructured: { change, basedOn: revision },
  explained: {
    readings: list(id, { minItems: 1 }),
    as: oneOf(EXPLANATIONS),
    note: text(500),
  },
  assumed: { assumption: tagged('kind', { 'blocks-apart': { blocks: list(list(id)) } }), by: text(80) },
  'part-declared': { part },
  'meter-checked': { leadsTogether: value, meter },
  'meter-failed': { leadsTogether: value },
  'prompt-shown': { prompt },
  skipped: { prompt, reason: oneOf(['later', 'cannot-reach']) },
  approached: {
    approach: object({
      order: oneOf(ORDERS),
      extent: oneOf(EXTENTS),
      clips: count(0, 64),
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
    pairs: list(list(id, { minItems: 2, maxItems: 2, uniqueItems: true }), { maxItems: 400 }),
  },
  'clips-touched': { red: clipped, black: clipped, silent: clipped },
  expected: { table: orNull(expectedTable) },
  chosen: { replacement: orNull(replacement) },
  noted: { field: oneOf(NOTE_FIELDS), text: text(4000) },
  transcribed: { marking: object({ id, runs: markingRuns, box: orNull(box) }) },
  'sister-noted': { sister: object({ id, text: text(200, 1), job: orNull(id), removed: flag }) },
  'photo-taken': { photo },
  'worth-noted': { inputs: worthInputs },
  'safety-begun': {
    list: object({
      supply: oneOf(SUPPLIES),
      lines: list(safetyLine, { minItems: 1, maxItems: 40 }),
      codeNote: text(2000),
    }),
  },
  'safety-answered': { line: id, answer: orNull(safetyAnswer) },
  'safety-signed': { by: text(80, 1) },
  're-energised': { reason: text(300) },
  'live-recorded': {
    record: object({ id, where: text(200, 1), volts, reason: text(300, 1), by: text(80, 1) }),
  },
  'wires-off': { off: flag },
  'path-laid': {
    links: list(object({ id, kind: oneOf(LINK_KINDS), name: orNull(text(60)) }), { maxItems: 40 }),
  },
  'path-tested': {
    test: object({
      id,
      links: list(id, { minItems: 1, maxItems: 40, uniqueItems: true }),
      result: orNull(oneOf(TEST_RESULTS)),
      flexed: flag,
      ohms: orNull(ohms),
    }),
  },
  'wire-tagged': { wire },
  stripped: { step: stripStep },
  measured: { fact: object({ field: oneOf(MECHANICS), value: text(120), how: oneOf(HOW_KNOWN) }) },
  signed: { by: text(80), note: text(500) },
});

/** One event with its envelope. */
export const eventSchema = object({
  id,
  device: id,
  sequence: { type: 'integer', minimum: 1 },
  clock: { type: 'integer', minimum: 1, maximum: Number.MAX_SAFE_INTEGER },
  at: time,
  schema: only(EVENT_SCHEMA),
  what: deedSchema,
});

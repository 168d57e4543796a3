import { ACTUATOR_FORMS, EVENT_SCHEMA, LAYOUTS, NOTE_FIELDS, PART_FORMS, SURENESS } from '../switch/index.js';

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
/** Cases of a tagged union, told apart by one property, so that a complaint names the case that was meant. */
const tagged = (tag: string, cases: Record<string, Record<string, Schema>>): Schema => ({
  type: 'object',
  discriminator: { propertyName: tag },
  required: [tag],
  oneOf: Object.entries(cases).map(([value, properties]) => object({ [tag]: only(value), ...properties })),
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
const reading = object({ id, setting: id, red: lead, black: lead, value });
const ask = tagged('kind', {
  sweep: { setting: id, red: id, black: list(id, { minItems: 1, maxItems: 64 }) },
  pair: { setting: id, red: id, black: id },
});
const prompt = object({ id, ask });
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
  role: oneOf(['contact', 'frame']),
});
const position = object({
  id,
  name: orNull(text(40)),
  rests: oneOf(['maintained', 'momentary']),
  returnsTo: orNull(id),
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
const layout = oneOf(LAYOUTS);

const change = tagged('change', {
  described: {
    terminals: list(terminal, { maxItems: 96 }),
    actuators: list(actuator, { maxItems: 16 }),
    settings: list(setting, { maxItems: 256 }),
    layout,
  },
  'terminal-added': { terminal },
  'terminal-renamed': { terminal: id, label: text(24, 1), marking: orNull(text(24)) },
  'terminal-retired': { terminal: id },
  'position-added': { actuator: id, position, after: orNull(id), settings: list(setting, { maxItems: 256 }) },
  'position-renamed': { position: id, name: orNull(text(40)) },
  'position-retired': { position: id },
  'positions-closed': { actuator: id, by: closedBy },
  'setting-added': { setting },
  'setting-needed': { setting: id, need: oneOf(['required', 'optional', 'impossible']) },
  'laid-out': { layout },
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
    as: oneOf(['contact', 'part', 'leak', 'potentiometer']),
    note: text(500),
  },
  assumed: { assumption: tagged('kind', { 'blocks-apart': { blocks: list(list(id)) } }), by: text(80) },
  'part-declared': {
    part: object({
      id,
      form: oneOf(PART_FORMS),
      terminals: list(id, { minItems: 2, maxItems: 2 }),
      ohms: orNull(ohms),
    }),
  },
  'meter-checked': { leadsTogether: value, meter },
  'prompt-shown': { prompt },
  skipped: { prompt, reason: oneOf(['later', 'cannot-reach']) },
  expected: { table: orNull(expectedTable) },
  chosen: { replacement: orNull(replacement) },
  noted: { field: oneOf(NOTE_FIELDS), text: text(4000) },
  transcribed: {
    marking: object({
      id,
      runs: list(object({ text: text(120, 1), sure: oneOf(SURENESS) }), { maxItems: 120 }),
    }),
  },
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

import { SIMULATED_PARTS } from '../simulated/index.js';
import { ACTUATOR_FORMS, SAFETY_LINES, SUPPLIES } from '../switch/index.js';
import {
  eventSchema,
  id,
  list,
  object,
  oneOf,
  orNull,
  tagged,
  text,
  time,
  type Schema,
} from './schema-parts.js';

/** One known switch of the library. */
export const knownSwitchSchema = object({
  id,
  kind: oneOf(['switch', 'part']),
  name: text(120, 1),
  maker: orNull(text(80)),
  family: text(80),
  form: oneOf(ACTUATOR_FORMS),
  terminals: list(text(24, 1), { minItems: 2, maxItems: 96, uniqueItems: true }),
  positions: list(
    object({
      name: orNull(text(40)),
      rests: oneOf(['maintained', 'momentary']),
      joined: list(list(text(24, 1), { minItems: 2, uniqueItems: true })),
    }),
    { minItems: 1, maxItems: 64 },
  ),
  note: orNull(text(500)),
});

const simulatedOhms: Schema = { type: 'number', minimum: 0, maximum: 1e9 };
const simulatedPlace: Schema = { type: 'integer', minimum: 0, maximum: 95 };
const fault = tagged('kind', {
  dirty: { ohms: simulatedOhms },
  burnt: { ohms: simulatedOhms },
  welded: {},
  broken: {},
  unsteady: {},
  'one-sided': { makes: oneOf(['up', 'down']) },
});

/** A simulated switch, where a job has one. Faults and parts may be left out: then there are none. */
export const simulatedSwitchSchema = object(
  {
    seed: { type: 'integer', minimum: 0, maximum: 4294967295 },
    name: text(120),
    terminals: { type: 'integer', minimum: 2, maximum: 96 },
    positions: list(object({ name: orNull(text(40)) }), { minItems: 1, maxItems: 64 }),
    contacts: list(
      object(
        {
          a: { type: 'integer', minimum: 0 },
          b: { type: 'integer', minimum: 0 },
          closedIn: list({ type: 'integer', minimum: 0 }),
          ohms: simulatedOhms,
          fault,
        },
        ['fault'],
      ),
      { maxItems: 4096 },
    ),
    parts: list(
      object({ a: simulatedPlace, b: simulatedPlace, form: oneOf(SIMULATED_PARTS), ohms: simulatedOhms }),
      { maxItems: 64 },
    ),
    frame: orNull(simulatedPlace),
    meter: object(
      {
        leadOhms: { type: 'number', minimum: 0, maximum: 100 },
        resolutionOhms: { type: 'number', exclusiveMinimum: 0, maximum: 1000 },
        beeperOhms: { type: 'number', minimum: 0, maximum: 1e6 },
        faults: object({
          fingersOhms: simulatedOhms,
          deadClip: orNull(simulatedPlace),
          autoOffAfter: { type: 'integer', minimum: 0, maximum: 1e6 },
          lowBattery: { type: 'boolean' },
          slowOverRange: { type: 'boolean' },
        }),
      },
      ['faults'],
    ),
  },
  ['parts', 'frame'],
);

const bySupply = (schema: Schema): Schema =>
  object(Object.fromEntries(SUPPLIES.map((supply) => [supply, schema])));

/** What a shop sets for itself. */
export const shopSchema = object({
  name: text(80),
  safetyLists: bySupply(
    list(object({ kind: oneOf(SAFETY_LINES), text: orNull(text(300)), why: orNull(text(300)) }), {
      maxItems: 40,
    }),
  ),
  codeNotes: bySupply(text(2000)),
});

const jobSchema = object({
  id,
  title: text(120, 1),
  place: text(120),
  outOfMachine: { type: 'boolean' },
  simulation: orNull(simulatedSwitchSchema),
  created: time,
  events: list(eventSchema, { maxItems: 100000 }),
});

/** The project's own file, version 1: jobs with their whole logs, and library entries. */
export const projectFileSchema: Schema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Which Way file, version 1',
  ...object({
    format: { const: 'which-way' },
    version: { const: 1 },
    jobs: list(jobSchema, { maxItems: 1000 }),
    library: list(knownSwitchSchema, { maxItems: 200000 }),
  }),
};

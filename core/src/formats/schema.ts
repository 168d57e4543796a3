import { SIMULATED_PARTS } from '../simulated/index.js';
import {
  ACTUATOR_FORMS,
  CODE_NOTE_LETTERS,
  FAMILY_LETTERS,
  LABEL_LETTERS,
  MOST_POSITIONS_OF_A_HANDLE,
  MOST_SAFETY_LINES,
  MOST_TERMINALS,
  PERSON_LETTERS,
  POSITION_NAME_LETTERS,
  REASON_LETTERS,
  REMARK_LETTERS,
  SAFETY_LINES,
  SHOP_NAME_LETTERS,
  SUPPLIES,
  TITLE_LETTERS,
} from '../switch/index.js';
import { id, list, object, oneOf, orNull, tagged, text, time, type Schema } from './schema-builders.js';
import { eventSchema } from './schema-parts.js';

/** One known switch of the library. */
export const knownSwitchSchema = object({
  id,
  kind: oneOf(['switch', 'part']),
  name: text(TITLE_LETTERS, 1),
  maker: orNull(text(PERSON_LETTERS)),
  family: text(FAMILY_LETTERS),
  form: oneOf(ACTUATOR_FORMS),
  terminals: list(text(LABEL_LETTERS, 1), { minItems: 2, maxItems: MOST_TERMINALS, uniqueItems: true }),
  positions: list(
    object({
      name: orNull(text(POSITION_NAME_LETTERS)),
      rests: oneOf(['maintained', 'momentary']),
      joined: list(list(text(LABEL_LETTERS, 1), { minItems: 2, uniqueItems: true })),
    }),
    { minItems: 1, maxItems: MOST_POSITIONS_OF_A_HANDLE },
  ),
  note: orNull(text(REMARK_LETTERS)),
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
    name: text(TITLE_LETTERS),
    terminals: { type: 'integer', minimum: 2, maximum: MOST_TERMINALS },
    positions: list(object({ name: orNull(text(POSITION_NAME_LETTERS)) }), {
      minItems: 1,
      maxItems: MOST_POSITIONS_OF_A_HANDLE,
    }),
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
  name: text(SHOP_NAME_LETTERS),
  safetyLists: bySupply(
    list(
      object({
        kind: oneOf(SAFETY_LINES),
        text: orNull(text(REASON_LETTERS)),
        why: orNull(text(REASON_LETTERS)),
      }),
      {
        maxItems: MOST_SAFETY_LINES,
      },
    ),
  ),
  codeNotes: bySupply(text(CODE_NOTE_LETTERS)),
});

const jobFields = {
  id,
  title: text(TITLE_LETTERS, 1),
  place: text(TITLE_LETTERS),
  outOfMachine: { type: 'boolean' },
  simulation: orNull(simulatedSwitchSchema),
  created: time,
};

/** A job of a file without its log, as it is met when a file is read piece by piece. */
export const jobHeadSchema = object(jobFields);

const jobSchema = object({ ...jobFields, events: list(eventSchema) });

/** The version of the project's own file that this build writes. */
export const FILE_VERSION = 2;

/** The project's own file: jobs with their whole logs, library entries, and what the shop has set for itself. */
export const projectFileSchema: Schema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: `Which Way file, version ${FILE_VERSION}`,
  ...object({
    format: { const: 'which-way' },
    version: { const: FILE_VERSION },
    shop: orNull(shopSchema),
    jobs: list(jobSchema),
    library: list(knownSwitchSchema),
  }),
};

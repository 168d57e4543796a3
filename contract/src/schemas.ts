import { TITLE_LETTERS } from '@which-way/core/schema';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import './index.js';

/** A JSON Schema, as far as these classes need one. */
export type ClassSchema = ReturnType<typeof validationMetadatasToSchemas>[string];

const orNull = (type: string) => ({ type: [type, 'null'] }) as unknown as ClassSchema;

/** The classes of answers whose shape the pages look at. */
export const ANSWERS = [
  'Health',
  'Job',
  'JobSummary',
  'JobWithEvents',
  'JobsGone',
  'KnownEntry',
  'LibraryPage',
  'MatchAnswer',
  'MeterAnswer',
  'MeterNow',
  'PostedEvents',
  'ShareAnswer',
  'Shop',
  'SignedInDevice',
  'StoredPhoto',
  'StreamBench',
  'StreamGone',
  'StreamHello',
  'StreamLog',
  'Work',
];

/** The JSON Schema of every class of the contract, by its name: what OpenAPI shows, and what the pages' checkers of answers are made from. */
export const contractSchemas = (): Record<string, ClassSchema> =>
  validationMetadatasToSchemas({
    refPointerPrefix: '#/components/schemas/',
    additionalConverters: {
      isOurId: { type: 'string', format: 'uuid' },
      isTitle: { type: 'string', maxLength: TITLE_LETTERS },
      isPlace: { type: 'string', maxLength: TITLE_LETTERS },
      isSimulatedSwitch: { type: 'object' },
      text: { type: 'string' },
      textOrNull: orNull('string'),
      count: { type: 'number' },
      countOrNull: orNull('number'),
      yesNo: { type: 'boolean' },
      list: { type: 'array', items: {} },
      fields: { type: 'object' },
      fieldsOrNull: orNull('object'),
    },
  });

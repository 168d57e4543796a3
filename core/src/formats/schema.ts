import {
  CODE_NOTE_LETTERS,
  count,
  flag,
  id,
  list,
  MOST_SAFETY_LINES,
  MOST_SHOP_METERS,
  object,
  oneOf,
  only,
  optional,
  orNull,
  REASON_LETTERS,
  says,
  SHOP_NAME_LETTERS,
  text,
  time,
  title,
  TITLE_LETTERS,
  type Schema,
} from '../schema/index.js';
import { deedSchema, JOB_ABOUT, meterSchema, SAFETY_LINES, SUPPLIES } from '../log/index.js';
import { simulatedSwitchSchema } from '../simulated/index.js';
import { knownSwitchSchema, type DeviceId, type EventId, type JobId } from '../switch/index.js';

const counted = count(1, Number.MAX_SAFE_INTEGER);

/** One event with its envelope. */
export const eventSchema = object({
  id: id<EventId>(),
  device: says('The writer: a tab from load to unload.', id<DeviceId>()),
  sequence: says("Counts the device's events of this job, from 1, without gaps.", counted),
  clock: says('Logical clock: live events are ordered by (clock, device).', counted),
  at: says('When it was written, by the clock on the wall.', time),
  schema: says(
    "The version of its kind's body; older ones are upgraded, a newer one is refused.",
    count(1, 1000),
  ),
  what: says('What happened; `what.kind` says which.', deedSchema),
});

function bySupply<Of extends Schema>(schema: Of) {
  const fields = Object.fromEntries(SUPPLIES.map((supply) => [supply, schema]));
  return object(fields as Record<(typeof SUPPLIES)[number], Of>);
}

const ownLine = object({
  kind: oneOf(SAFETY_LINES),
  text: orNull(text(REASON_LETTERS)),
  why: orNull(text(REASON_LETTERS)),
});

/** What a shop sets for itself. */
export const shopSchema = object({
  name: text(SHOP_NAME_LETTERS),
  safetyLists: bySupply(list(ownLine, { maxItems: MOST_SAFETY_LINES })),
  codeNotes: bySupply(text(CODE_NOTE_LETTERS)),
  meters: says('Meters of its own, by their names.', list(meterSchema, { maxItems: MOST_SHOP_METERS })),
});

export const idSchema = id();
/** What a job is called, and where it stands: in files, and where a page gives or changes it. */
export const titleSchema = title(TITLE_LETTERS);
export const placeSchema = says("Where it stands or whose it is, in the shop's words.", text(TITLE_LETTERS));

const jobFields = {
  id: id<JobId>(),
  title: titleSchema,
  place: placeSchema,
  outOfMachine: flag,
  simulation: says('A simulated switch, or null.', orNull(simulatedSwitchSchema)),
  created: time,
  about: says('What its log is of; absent: a switch.', optional(oneOf(JOB_ABOUT))),
};

/** A job of a file without its log, as it is met when a file is read piece by piece. */
export const jobHeadSchema = object(jobFields);

const jobSchema = object({ ...jobFields, events: list(eventSchema) });

/** The version of the project's own file that this build writes. */
export const FILE_VERSION = 3;

/** The project's own file: jobs with their whole logs, library entries, and what the shop has set for itself. */
export const projectFileSchema: Schema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: `Which Way file, version ${FILE_VERSION}`,
  ...object({
    format: only('which-way'),
    version: only(FILE_VERSION),
    shop: orNull(shopSchema),
    jobs: list(jobSchema),
    library: list(knownSwitchSchema),
  }),
};

import {
  flag,
  id,
  list,
  MARKING_LETTERS,
  NOTE_LETTERS,
  object,
  oneOf,
  orNull,
  says,
  SISTER_LETTERS,
  text,
  type TypeOf,
} from '../../../schema/index.js';
import type { JobId, MarkingId, SisterId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { inUse, last, newest } from '../keeps.js';
import { photoBoxSchema } from './photo.js';

/** What is written down before anything is touched. */
export const NOTE_FIELDS = [
  'machine',
  'complaint',
  'tried',
  'prior-work',
  'money-limit',
  'machine-maker',
  'machine-model',
  'machine-serial',
  'part-maker',
  'part-number',
  'date-code',
] as const;
export type NoteField = (typeof NOTE_FIELDS)[number];

/** What the owner complains of, in the kinds that steer the work. */
export const SYMPTOMS = [
  'dead',
  'sometimes',
  'never-off',
  'weak',
  'wrong-way',
  'jams',
  'brake-lost',
] as const;
export type Symptom = (typeof SYMPTOMS)[number];

export const symptomsSaid = defineKind('symptoms-said', {
  says: 'what kind of complaint it is; the newest counts',
  fields: { symptoms: list(oneOf(SYMPTOMS), { uniqueItems: true, maxItems: SYMPTOMS.length }) },
  undo: ['intake'],
  reading: 'extends',
  keeps: last('symptoms'),
});

/** How sure the reader of a marking is of a character. */
export const SURENESS = ['certain', 'guess', 'unreadable'] as const;
export type Sureness = (typeof SURENESS)[number];

export const markingRunSchema = object({ text: text(MARKING_LETTERS, 1), sure: oneOf(SURENESS) });
/** Characters in a row of which one is equally sure. */
export type MarkingRun = TypeOf<typeof markingRunSchema>;

export const markingSchema = object({
  id: id<MarkingId>(),
  runs: list(markingRunSchema, { maxItems: MARKING_LETTERS }),
  box: says('Where it stands on a photo, if it was boxed on one.', orNull(photoBoxSchema)),
});
/** What is stamped on the switch, as read. */
export type Marking = TypeOf<typeof markingSchema>;

export const sisterSchema = object({
  id: id<SisterId>(),
  text: text(SISTER_LETTERS, 1),
  job: says('The job that was made of it; null while there is none.', orNull(id<JobId>())),
  removed: flag,
});
/** Another switch that controls the same: any of them may be the bad one. */
export type Sister = TypeOf<typeof sisterSchema>;

/** Notes are text: the undo of the field itself serves them. */
export const noted = defineKind('noted', {
  says: 'what was told and seen at intake (`field`, `text`); the newest of a field counts, an empty text clears it',
  fields: { field: oneOf(NOTE_FIELDS), text: text(NOTE_LETTERS) },
  undo: [],
  reading: 'extends',
  keeps: newest(null, ({ field }: { field: NoteField }) => field),
});

export const transcribed = defineKind('transcribed', {
  says: 'a marking as read, in runs that are certain, guess or unreadable; its box on a photo. Without runs and box it is gone',
  fields: { marking: markingSchema },
  undo: ['intake'],
  reading: 'extends',
  keeps: newest(
    'marking',
    ({ id }: Marking) => id,
    ({ runs, box }) => runs.length > 0 || box !== null,
  ),
});

export const sisterNoted = defineKind('sister-noted', {
  says: 'another switch that controls the same, and its job',
  fields: { sister: sisterSchema },
  undo: ['intake'],
  reading: 'extends',
  keeps: inUse('sister'),
});

/** Runs from a text and how sure each of its characters is. */
export function runsOf(text: string, sureness: readonly Sureness[]): MarkingRun[] {
  const runs: MarkingRun[] = [];
  [...text].forEach((character, index) => {
    const sure = sureness[index] ?? 'certain';
    const last = runs.at(-1);
    if (last?.sure === sure) last.text += character;
    else runs.push({ text: character, sure });
  });
  return runs;
}

/** How sure each character of a marking is, in order. */
export function surenessOf({ runs }: Pick<Marking, 'runs'>): Sureness[] {
  return runs.flatMap(({ text, sure }) => [...text].map(() => sure));
}

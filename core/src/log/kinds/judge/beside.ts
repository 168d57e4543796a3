import { id, object, oneOf, text, TITLE_LETTERS, type TypeOf } from '../../../schema/index.js';
import type { JobId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { newest } from '../keeps.js';

/** What the other switch is to this one. */
export const BESIDE_AS = ['new-part', 'good-one', 'old-one', 'same-earlier'] as const;
export type BesideAs = (typeof BESIDE_AS)[number];

export const besideSchema = object({ job: id<JobId>(), title: text(TITLE_LETTERS, 1), as: oneOf(BESIDE_AS) });
/** Another job, whose switch is measured beside this one, and what it is to this one. */
export type JobBeside = TypeOf<typeof besideSchema>;

export const putBeside = defineKind('put-beside', {
  says: 'that the switch of another job is measured beside this one; the newest of each job counts',
  fields: { beside: besideSchema },
  undo: ['verify'],
  reading: 'extends',
  keeps: newest('beside', ({ job }: JobBeside) => job),
});

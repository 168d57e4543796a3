import { id, list, oneOf, PERSON_LETTERS, REMARK_LETTERS, tagged, text } from '../../../schema/index.js';
import type { ReadingId, TerminalId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';

/**
 * What a reading between closed and open may be: a bad contact joins, a part, a leak and a potentiometer conduct without one.
 * `not-known`: a person gives up asking; it stays as it is, and the map is not complete.
 */
export const EXPLANATIONS = ['contact', 'part', 'leak', 'potentiometer', 'not-known'] as const;
export type Explanation = (typeof EXPLANATIONS)[number];

export const explained = defineKind('explained', {
  says: 'a person accepted what readings are',
  fields: {
    readings: list(id<ReadingId>(), { minItems: 1 }),
    as: oneOf(EXPLANATIONS),
    note: text(REMARK_LETTERS),
  },
  undo: ['map'],
  reading: 'looks back',
  // Version 2 knows what is left not known.
  upgrades: { 1: (what) => what },
});

export const assumed = defineKind('assumed', {
  says: 'blocks that a person takes not to touch each other',
  fields: {
    assumption: tagged('kind', { 'blocks-apart': { blocks: list(list(id<TerminalId>())) } }),
    by: text(PERSON_LETTERS),
  },
  undo: ['map'],
  reading: 'looks back',
});

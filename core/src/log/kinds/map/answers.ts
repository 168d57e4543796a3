import { flag, id, list, MOST_SETTINGS, oneOf, orNull, says } from '../../../schema/index.js';
import type { PromptId, ReadingId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { readingSchema } from './reading.js';

/** Who said it: `heard`: a beep that the ear took, or a pedal beside it. */
const sourceSchema = oneOf(['typed', 'meter', 'simulated', 'heard']);

export const answered = defineKind('answered', {
  says: 'one act of the hands with its readings: one pair, one lead swept over many, a pair or a bundle held while the handle turns',
  fields: {
    act: oneOf(['pair', 'sweep', 'turn', 'bundle']),
    prompt: says(
      "The prompt that this answers; null for a pair of the person's own choice.",
      orNull(id<PromptId>()),
    ),
    source: sourceSchema,
    inCircuit: says('Taken with wires still on: an open proves apart, a closed proves nothing.', flag),
    readings: list(readingSchema, { minItems: 1, maxItems: MOST_SETTINGS }),
  },
  undo: ['map'],
  reading: 'extends',
});

export const superseded = defineKind('superseded', {
  says: 'a reading is replaced, or taken out (`replacement` null)',
  fields: { reading: id<ReadingId>(), replacement: orNull(readingSchema), source: sourceSchema },
  undo: ['map'],
  reading: 'looks back',
});

import {
  above,
  count,
  FASTENER_PLACE_LETTERS,
  flag,
  id,
  list,
  LOOSE_LETTERS,
  MOST_FASTENERS,
  MOST_FASTENERS_OF_A_KIND,
  object,
  oneOf,
  orNull,
  says,
  STEP_LETTERS,
  text,
  type TypeOf,
} from '../../../schema/index.js';
import type { PhotoId, StepId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { inUse } from '../keeps.js';

export const FASTENERS = [
  'screw',
  'bolt-and-nut',
  'rivet',
  'clip',
  'circlip',
  'pin',
  'solder',
  'tab',
  'other',
] as const;
export type FastenerKind = (typeof FASTENERS)[number];

export const fastenerSchema = object({
  count: count(1, MOST_FASTENERS_OF_A_KIND),
  kind: oneOf(FASTENERS),
  length: says('In millimetres; null: not measured.', orNull(above(0, 1000))),
  place: text(FASTENER_PLACE_LETTERS),
});
/** Fasteners of one kind and length that came out of one place. */
export type Fastener = TypeOf<typeof fastenerSchema>;

export const stripStepSchema = object({
  id: id<StepId>(),
  text: text(STEP_LETTERS),
  photo: orNull(id<PhotoId>()),
  fasteners: list(fastenerSchema, { maxItems: MOST_FASTENERS }),
  loose: says('Springs, detent balls and the like that come loose here.', text(LOOSE_LETTERS)),
  removed: flag,
});
/** One step of taking it apart; read backwards, the steps are the assembly list. */
export type StripStep = TypeOf<typeof stripStepSchema>;

export const stripped = defineKind('stripped', {
  says: 'a step of taking it apart',
  fields: { step: stripStepSchema },
  undo: ['tag'],
  reading: 'extends',
  keeps: inUse('step'),
});

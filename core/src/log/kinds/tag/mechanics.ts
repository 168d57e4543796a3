import { MECHANICS_LETTERS, object, oneOf, text, type TypeOf } from '../../../schema/index.js';
import { defineKind } from '../define-kind.js';
import { newest } from '../keeps.js';

/** What has to fit besides the wiring. Lengths are in millimetres. */
export const MECHANICS = [
  'mounting',
  'bolt-spacing',
  'cut-out',
  'bushing',
  'shaft-diameter',
  'shaft-length',
  'depth',
  'connector',
  'terminations',
  'environment',
] as const;
export type MechanicsField = (typeof MECHANICS)[number];

export const HOW_KNOWN = ['measured', 'marking', 'unknown'] as const;

export const mechanicsFactSchema = object({
  field: oneOf(MECHANICS),
  value: text(MECHANICS_LETTERS),
  how: oneOf(HOW_KNOWN),
});
/** Something that has to fit, with how it is known; the newest of a field counts. */
export type MechanicsFact = TypeOf<typeof mechanicsFactSchema>;

export const measured = defineKind('measured', {
  says: 'something that must fit, and how it is known',
  fields: { fact: mechanicsFactSchema },
  undo: ['tag'],
  reading: 'extends',
  keeps: newest('fact', ({ field }: MechanicsFact) => field),
});

import {
  flag,
  GOES_TO_LETTERS,
  id,
  object,
  oneOf,
  orNull,
  PART_NOTE_LETTERS,
  says,
  text,
  two,
  WIRE_SIZE_LETTERS,
  WIRE_TAG_LETTERS,
  written,
  type TypeOf,
} from '../../../schema/index.js';
import type { NewId, PartId, TerminalId, WireId } from '../../../switch/index.js';
import { defineKind } from '../define-kind.js';
import { inUse } from '../keeps.js';
import { ohmsSchema } from '../map/reading.js';

/** How a wire ends at the switch. */
export const TERMINATIONS = [
  'solder',
  'screw',
  'push-on',
  'ring',
  'fork',
  'crimp-pin',
  'push-in',
  'connector',
  'moulded',
] as const;
export type Termination = (typeof TERMINATIONS)[number];

export const wireSchema = object({
  id: id<WireId>(),
  tag: says("The tag's number, unique among the wires.", text(WIRE_TAG_LETTERS, 1)),
  color: says(
    'IEC 60757 code such as BK, BU or GNYE; may occur many times. Empty: not written down.',
    written(6, '^([A-Z]{2}){0,3}$'),
  ),
  size: says("Size as measured or printed: '0.75 mm2', 'AWG 18'.", text(WIRE_SIZE_LETTERS)),
  termination: orNull(oneOf(TERMINATIONS)),
  goesTo: text(GOES_TO_LETTERS),
  liveThough: says('Its colour says earth or neutral, yet it is live: to be re-marked.', flag),
  terminal: says('Where it was found on the switch; null: not said.', orNull(id<TerminalId>())),
  removed: flag,
});
/** A wire with the repairer's own tag on it. */
export type Wire = TypeOf<typeof wireSchema>;

export const wireTagged = defineKind('wire-tagged', {
  says: 'a wire: tag, colour code, size, how it ends, where it sits and goes',
  fields: { wire: wireSchema },
  undo: ['tag'],
  reading: 'extends',
  keeps: inUse('wire'),
});

/** A wire of which nothing but its tag is known. */
export function newWire(tag: string, newId: NewId): Wire {
  return {
    id: newId<WireId>(),
    tag,
    color: '',
    size: '',
    termination: null,
    goesTo: '',
    liveThough: false,
    terminal: null,
    removed: false,
  };
}

/** What a foreign path is: conducts, but is not a contact. */
export const PART_FORMS = [
  'lamp',
  'coil',
  'motor',
  'resistor',
  'suppressor',
  'capacitor',
  'diode',
  'jumper',
  'circuit',
] as const;
export type PartForm = (typeof PART_FORMS)[number];

export const partSchema = object({
  id: id<PartId>(),
  form: oneOf(PART_FORMS),
  terminals: two(id<TerminalId>()),
  ohms: orNull(ohmsSchema),
  note: text(PART_NOTE_LETTERS),
  on: says('Whether it is still on the switch while that is mapped.', flag),
  removed: flag,
});
/** A foreign path between two terminals: said by a person, never measured by that alone. */
export type Part = TypeOf<typeof partSchema>;

export const partDeclared = defineKind('part-declared', {
  says: 'a jumper, or something that conducts and is no contact; whether it is still on',
  fields: { part: partSchema },
  undo: ['map', 'tag'],
  reading: 'looks back',
  keeps: inUse('part'),
});

/**
 * Colour codes of IEC 60757 (from memory): the twelve single colours, with a colour to show and the plain word.
 * Two codes in a row are a two-colour wire: GNYE is green and yellow.
 */
export const WIRE_COLORS: readonly { code: string; word: string; shown: string }[] = [
  { code: 'BK', word: 'black', shown: '#1c1c1c' },
  { code: 'BN', word: 'brown', shown: '#7a4a21' },
  { code: 'RD', word: 'red', shown: '#c0272d' },
  { code: 'OG', word: 'orange', shown: '#e6781e' },
  { code: 'YE', word: 'yellow', shown: '#f0cf26' },
  { code: 'GN', word: 'green', shown: '#2f8a3c' },
  { code: 'BU', word: 'blue', shown: '#2a62b8' },
  { code: 'VT', word: 'violet', shown: '#7d4aa3' },
  { code: 'GY', word: 'grey', shown: '#8b8f92' },
  { code: 'WH', word: 'white', shown: '#ffffff' },
  { code: 'PK', word: 'pink', shown: '#eda3bd' },
  { code: 'TQ', word: 'turquoise', shown: '#38b5ac' },
];

/** The single colours of a code, in order: GNYE gives green and yellow; null when it is not such a code. */
export function colorsOf(code: string): (typeof WIRE_COLORS)[number][] | null {
  const folded = code.trim().toUpperCase();
  if (folded === '' || folded.length % 2 !== 0 || folded.length > 6) return null;
  const found = (folded.match(/../g) ?? []).map((part) => WIRE_COLORS.find((color) => color.code === part));
  return found.every((color) => color !== undefined) ? found : null;
}

import type { SwitchMap } from '@which-way/core/continuity';
import {
  colorsOf,
  type Fastener,
  type FastenerKind,
  type MechanicsField,
  type PartForm,
  recordsOf,
  type Termination,
} from '@which-way/core/log';
import type { WireId } from '@which-way/core/switch';
import { lengthWords, saidLengths, type Units } from '../units.js';

export const PART_WORDS: Record<PartForm, string> = {
  lamp: 'lamp',
  coil: 'coil',
  motor: 'motor',
  resistor: 'resistor',
  suppressor: 'suppressor',
  capacitor: 'capacitor',
  diode: 'diode',
  jumper: 'jumper',
  circuit: 'rest of the circuit',
};

export const TERMINATION_WORDS: Record<Termination, string> = {
  solder: 'soldered',
  screw: 'screw',
  'push-on': 'push-on tab',
  ring: 'ring',
  fork: 'fork',
  'crimp-pin': 'crimped pin',
  'push-in': 'push-in',
  connector: 'connector',
  moulded: 'moulded in',
};

export const FASTENER_WORDS: Record<FastenerKind, [one: string, many: string]> = {
  screw: ['screw', 'screws'],
  'bolt-and-nut': ['bolt and nut', 'bolts and nuts'],
  rivet: ['rivet', 'rivets'],
  clip: ['clip', 'clips'],
  circlip: ['circlip', 'circlips'],
  pin: ['pin', 'pins'],
  solder: ['solder joint', 'solder joints'],
  tab: ['bent tab', 'bent tabs'],
  other: ['other', 'others'],
};

/** What must fit: what it is called, whether it is a length, and an example in either units. */
export const MECHANICS_WORDS: Record<
  MechanicsField,
  { label: string; isLength: boolean; hint: string | Record<Units, string> }
> = {
  mounting: { label: 'Mounting', isLength: false, hint: 'such as bush and nut, snap-in' },
  'bolt-spacing': { label: 'Bolt spacing', isLength: true, hint: 'centre to centre' },
  'cut-out': {
    label: 'Cut-out',
    isLength: true,
    hint: { metric: 'such as 22.2 x 30', inch: 'such as 7/8 x 1 3/16' },
  },
  bushing: { label: 'Bushing', isLength: false, hint: 'such as M10 x 0.75, 9 mm long' },
  'shaft-diameter': {
    label: 'Shaft, across',
    isLength: true,
    hint: { metric: 'such as 6, flat 4.5', inch: 'such as 1/4, flat 3/16' },
  },
  'shaft-length': { label: 'Shaft, from the mounting face', isLength: true, hint: 'to the tip' },
  depth: { label: 'Depth behind the panel', isLength: true, hint: 'lugs and bent wires included' },
  connector: { label: 'Connector', isLength: false, hint: 'pins, pitch, keying' },
  terminations: { label: 'Terminations', isLength: false, hint: 'such as 4.8 mm tabs, solder lugs' },
  environment: { label: 'Where it lives', isLength: false, hint: 'such as dust, splashes, heat, salt' },
};

/** What is known of something that must fit, lengths with their unit. */
export const mechanicsSaid = (field: MechanicsField, text: string, units: Units): string =>
  MECHANICS_WORDS[field].isLength ? saidLengths(text, units) : text;

/** A colour code with its plain words: 'GNYE, green and yellow'. */
export function colorWords(code: string): string {
  const colors = colorsOf(code);
  return colors
    ? `${code}, ${colors.map(({ word }) => word).join(' and ')}`
    : code === ''
      ? 'colour not written down'
      : code;
}

/** '2 screws, 12 mm, left cover'. */
export function fastenerWords({ count, kind, length, place }: Fastener, units: Units): string {
  const [one, many] = FASTENER_WORDS[kind];
  return [`${count} ${count === 1 ? one : many}`, length === null ? '' : lengthWords(length, units), place]
    .filter(Boolean)
    .join(', ');
}

/** A wire of a job by its tag and colour; `a wire` where the job does not know it. */
export function newestTag({ log }: Pick<SwitchMap, 'log'>, id: WireId): string {
  const wire = recordsOf(log, 'wire-tagged').find((one) => one.id === id);
  return wire ? `wire ${[wire.tag, wire.color && `(${wire.color})`].filter(Boolean).join(' ')}` : 'a wire';
}

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

export const MECHANICS_WORDS: Record<MechanicsField, { label: string; unit: 'mm' | null; hint: string }> = {
  mounting: { label: 'Mounting', unit: null, hint: 'such as bush and nut, two screws, snap-in, panel' },
  'bolt-spacing': { label: 'Bolt spacing', unit: 'mm', hint: 'centre to centre' },
  'cut-out': { label: 'Cut-out', unit: 'mm', hint: 'such as 22.2 x 30' },
  bushing: { label: 'Bushing', unit: null, hint: 'such as M10 x 0.75, 9 mm long' },
  'shaft-diameter': { label: 'Shaft, across', unit: 'mm', hint: 'such as 6, flat 4.5' },
  'shaft-length': { label: 'Shaft, from the mounting face', unit: 'mm', hint: 'to the tip' },
  depth: { label: 'Depth behind the panel', unit: 'mm', hint: 'lugs and bent wires included' },
  connector: { label: 'Connector', unit: null, hint: 'pins, pitch, keying' },
  terminations: { label: 'Terminations', unit: null, hint: 'such as 4.8 mm tabs, solder lugs' },
  environment: { label: 'Where it lives', unit: null, hint: 'such as dust, splashes, heat, salt' },
};

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
export function fastenerWords({ count, kind, length, place }: Fastener): string {
  const [one, many] = FASTENER_WORDS[kind];
  return [`${count} ${count === 1 ? one : many}`, length === null ? '' : `${length} mm`, place]
    .filter(Boolean)
    .join(', ');
}

/** A wire of a job by its tag and colour; `a wire` where the job does not know it. */
export function newestTag({ log }: Pick<SwitchMap, 'log'>, id: WireId): string {
  const wire = recordsOf(log, 'wire-tagged').find((one) => one.id === id);
  return wire ? `wire ${[wire.tag, wire.color && `(${wire.color})`].filter(Boolean).join(' ')}` : 'a wire';
}

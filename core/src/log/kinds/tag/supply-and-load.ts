import {
  above,
  flag,
  id,
  LINK_NAME_LETTERS,
  list,
  object,
  oneOf,
  optional,
  orNull,
  says,
  text,
  type TypeOf,
} from '../../../schema/index.js';
import type { LoadId, SupplyId } from '../../../switch/index.js';
import { CURRENTS } from '../before/dead-proof.js';
import { defineKind } from '../define-kind.js';
import { inUse } from '../keeps.js';

/** The potentials that a wire may bring. */
export const POTENTIALS = ['L', 'N', 'L1', 'L2', 'L3', '+', '0', 'earth'] as const;
export type Potential = (typeof POTENTIALS)[number];

export const supplySchema = object({
  id: id<SupplyId>(),
  name: text(LINK_NAME_LETTERS),
  kind: oneOf(POTENTIALS),
  volts: says('Against its return; null where nobody has said.', orNull(above(0, 1e6))),
  current: oneOf(CURRENTS),
  removed: flag,
});
/** A named potential that a wire brings. */
export type Supply = TypeOf<typeof supplySchema>;

/** What a contact has to carry. */
export const LOAD_KINDS = ['resistive', 'motor', 'lamp', 'electronics', 'signal'] as const;
export type LoadKind = (typeof LOAD_KINDS)[number];

/**
 * How a load is made, where that decides what it does. Motors: `universal`: a series motor, on either current; `series-wound`,
 * `shunt-wound`: field and armature apart; `capacitor`: its two windings alike, a capacitor between A and B; `run-start`: a start winding
 * of its own; `reversible`: main and start winding brought out apart; `two-speed`: two windings of which one may be fed; `tapped`: one
 * winding with a tap for each speed, T1 the fastest; `three-phase`: six ends. Others: `half-wave`: through a diode; `alternator`: charges
 * the battery that it is joined to; `current-transformer`: its secondary, which must stay closed; `signal-source`: a pickup, a microphone,
 * an input, its hot end +; `signal-output`: what its signal goes to; `double-coil`: a pickup of two coils, four leads. Coils with contacts
 * of their own: `relay`: one changeover, 11 common, 12 closed at rest, 14 closed when pulled in; `contactor`: three poles 1-2, 3-4, 5-6,
 * 13-14 closed when pulled in, 21-22 closed at rest (numbers of EN 50005 and EN 50012, from memory).
 */
export const LOAD_MAKES = [
  'permanent-magnet',
  'universal',
  'capacitor',
  'run-start',
  'reversible',
  'three-phase',
  'series-wound',
  'shunt-wound',
  'shaded-pole',
  'two-speed',
  'tapped',
  'half-wave',
  'alternator',
  'current-transformer',
  'signal-source',
  'signal-output',
  'double-coil',
  'relay',
  'contactor',
] as const;
export type LoadMake = (typeof LOAD_MAKES)[number];

export const loadSchema = object({
  id: id<LoadId>(),
  name: text(LINK_NAME_LETTERS, 1),
  kind: oneOf(LOAD_KINDS),
  amps: orNull(above(0, 10_000)),
  watts: orNull(above(0, 1e6)),
  volts: orNull(above(0, 1e6)),
  current: oneOf(CURRENTS),
  make: says(
    'How it is made, where that decides what it does; absent: it is not said.',
    optional(oneOf(LOAD_MAKES)),
  ),
  startAmps: says('What it takes in its first moment: locked rotor, inrush.', optional(above(0, 1e5))),
  timeConstant: says('Milliseconds (L/R) of a coil on DC.', optional(above(0, 1e5))),
  diode: says(
    'Fed through a diode, so that half of each wave comes; of a heater or a lamp its make says so.',
    optional(flag),
  ),
  interlocked: says(
    'Of a relay or contactor: others that a mechanical interlock keeps from pulling in together with it.',
    optional(list(id<LoadId>(), { maxItems: 12 })),
  ),
  removed: flag,
});
/** What a wire feeds. */
export type Load = TypeOf<typeof loadSchema>;

/** How a load of each kind may be made. */
export const MAKES_OF: Readonly<Record<LoadKind, readonly LoadMake[]>> = {
  motor: [...LOAD_MAKES.slice(0, 11), 'relay', 'contactor'],
  resistive: ['half-wave'],
  lamp: ['half-wave'],
  electronics: ['alternator'],
  signal: ['current-transformer', 'signal-source', 'signal-output', 'double-coil'],
};

/** How a load is made, where its kind may be made so; undefined: that is not said. */
export const makeOf = ({ kind, make }: Pick<Load, 'kind' | 'make'>): LoadMake | undefined =>
  make && MAKES_OF[kind].includes(make) ? make : undefined;

/**
 * What a load takes, in amperes: as typed, else from its watts and volts (P = U I: exact for what only heats, low for a motor,
 * whose nameplate amperes count). null where neither is said.
 */
export const ampsOf = ({ amps, watts, volts }: Load): number | null =>
  amps ?? (watts !== null && volts !== null ? watts / volts : null);

export const supplyNamed = defineKind('supply-named', {
  says: 'a supply of the machine; the newest of each counts',
  fields: { supply: supplySchema },
  undo: ['tag', 'verify'],
  reading: 'extends',
  keeps: inUse('supply'),
});

export const loadNamed = defineKind('load-named', {
  says: 'a load of the machine; the newest of each counts',
  fields: { load: loadSchema },
  undo: ['tag', 'verify'],
  reading: 'extends',
  keeps: inUse('load'),
});

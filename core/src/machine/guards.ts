import type { InSetting } from './power/in-setting.js';
import type { Case, Load, LoadKind } from '../log/index.js';
import type { Actuator, ActuatorForm, Position, PositionId, Setting, Structure } from '../switch/index.js';

/** Cases of the trade in which the switch itself guards: joining past it would leave out a stop, a brake, a door or a cut-out. */
export const GUARDING_CASES: readonly Case[] = [
  'cut-out-self',
  'cut-out-button',
  'cut-out-once',
  'run-and-brake',
  'sprung-start',
  'interlock',
  'stop-button',
  'limit',
  'neutral-only',
  'no-volt',
  'kill-contact',
];

/** Handles whose positions a person sets and leaves: their OFF stops the machine by being chosen, and the plug can stand in for it. */
const SET_AND_LEFT: ReadonlySet<ActuatorForm> = new Set([
  'rotary',
  'lever',
  'toggle',
  'rocker',
  'slide',
  'key-bank',
  'pot-switch',
]);

/** Loads that start or heat something: what lets go of them when a hand does is there for a reason. */
const CAN_HURT: ReadonlySet<LoadKind> = new Set(['motor', 'resistive', 'electronics']);

/** Whether joining past a contact passes by what protects somebody: it does, it must be asked, or nothing speaks for it. */
export type Guarding = 'guard' | 'ask' | 'none';

/**
 * Whether what a setting joins guards. A contact that opens by itself when a hand, a door or a lid lets go of it (its position springs back), or
 * that opens when it is pressed (the position to which another springs back), guards what it feeds: a motor, a heater, something
 * unknown. Of a lamp or a signal, and of forms that often guard (push, pull, key, trigger), it is asked. (Common practice: an interlock is
 * never bridged.)
 * @param unsaid positions of which nobody has said whether they spring back, though their form suggests it: a handle with one is asked about
 */
export function guarding(
  structure: Pick<Structure, 'actuators'>,
  setting: Pick<Setting, 'at'>,
  { loads: does }: Pick<InSetting, 'loads'>,
  loads: readonly Load[],
  unsaid: ReadonlySet<PositionId> = new Set(),
): Guarding {
  const fed = loads.filter(({ id }) => does.get(id)?.does !== 'off');
  const canHurt = fed.length === 0 || fed.some(({ kind }) => CAN_HURT.has(kind));
  const stands = structure.actuators.map((actuator) => ({
    actuator,
    position: actuator.positions.find(({ id }) => id === setting.at[actuator.id]),
  }));
  if (stands.some(({ actuator, position }) => position && isSprung(actuator, position)))
    return canHurt ? 'guard' : 'ask';
  const left = ({ form, positions }: Actuator) =>
    SET_AND_LEFT.has(form) && !positions.some(({ id }) => unsaid.has(id));
  return stands.every(({ actuator }) => left(actuator)) ? 'none' : 'ask';
}

/** Whether a hand has to hold it there, or it is where another position springs back to. */
const isSprung = ({ positions }: Actuator, { id, rests }: Position): boolean =>
  rests === 'momentary' ||
  positions.some((one) => one.rests === 'momentary' && springsTo(one, id, positions));

/** A momentary position of which nobody has said where it springs to may spring to any that stays. */
const springsTo = ({ returnsTo }: Position, to: PositionId, positions: readonly Position[]): boolean =>
  returnsTo === null
    ? positions.some(({ id, rests }) => id === to && rests === 'maintained')
    : returnsTo === to;

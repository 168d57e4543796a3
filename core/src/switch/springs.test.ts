import { describe, expect, it } from 'vitest';
import { restOf, type SpringAnswer } from '../log/index.js';
import { springSuggested, type Actuator, type ActuatorForm, type PositionId } from './index.js';

/** A handle of a form with positions by their names; a star: it was said to spring back. */
const handle = (form: ActuatorForm, names: string, name = ''): Actuator => ({
  ...{ id: 'handle' as never, name, form, closed: 'declared' },
  positions: names.split(' ').map((one) => ({
    ...{ id: one.replace('*', '') as PositionId, name: one.replace('*', ''), returnsTo: null, pose: null },
    rests: one.endsWith('*') ? 'momentary' : 'maintained',
  })),
});

/** By hand (common practice): what usually springs back, what may, and what nothing suggests. */
const TABLE: [string, Actuator, (string | null)[]][] = [
  ['a trigger', handle('trigger', 'REST PULLED'), [null, 'yes']],
  ['a push button', handle('push', 'OUT IN'), [null, 'ask']],
  ['a bell push', handle('push', 'OUT IN', 'bell push'), [null, 'yes']],
  ['a pedal', handle('unsaid', 'UP DOWN', 'pedal'), [null, 'yes']],
  ['a START', handle('rotary', 'OFF RUN START'), [null, null, 'yes']],
  ['a window rocker', handle('rocker', 'DOWN REST UP', 'window'), ['yes', null, 'yes']],
  ['a horn', handle('push', 'OUT HORN'), [null, 'yes']],
  ['a centre-off toggle', handle('toggle', 'ON1 OFF ON2'), ['ask', null, 'ask']],
  ['a joystick of two ways', handle('lever', 'LEFT MID RIGHT'), ['ask', null, 'ask']],
  ['a mushroom stop latches', handle('push-pull', 'OUT IN'), [null, null]],
  ['a selector', handle('rotary', 'OFF LOW HIGH'), [null, null, null]],
  ['a toggle of two', handle('toggle', 'OFF ON'), [null, null]],
];

describe('what springs back', () => {
  it.each(TABLE)('%s', (_, actuator, says) => {
    expect(actuator.positions.map((position) => springSuggested(actuator, position))).toEqual(says);
  });

  it('is not said until a person says it, where the form suggests it; momentary counts as said', () => {
    const trigger = handle('trigger', 'REST PULLED');
    const [rest, pulled] = trigger.positions as [Actuator['positions'][0], Actuator['positions'][0]];
    const at = (position: typeof rest, ...answers: SpringAnswer[]) => restOf(trigger, position, answers);
    expect(at(rest).rests).toBe('maintained');
    expect(at(pulled).rests).toBe('not-said');
    const sprung = handle('trigger', 'REST PULLED*');
    expect(restOf(sprung, sprung.positions[1] as typeof rest, []).rests).toBe('momentary');
    const found = (to: PositionId | null): SpringAnswer => ({ position: pulled.id, found: to });
    expect(at(pulled, found(null))).toEqual({ rests: 'maintained', returnsTo: null, broken: false });
    expect(at(pulled, found(rest.id))).toEqual({ rests: 'momentary', returnsTo: rest.id, broken: false });
    // A broken spring stays where it is pushed, and is still meant to spring back.
    expect(at(pulled, { ...found(null), meant: rest.id })).toEqual({
      ...{ rests: 'momentary', returnsTo: rest.id, broken: true },
    });
  });
});

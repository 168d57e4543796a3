import { describe, expect, it } from 'vitest';
import type { LoadState } from './power/load-state.js';
import type { Deed, Load, LoadKind } from '../log/index.js';
import type { Actuator, ActuatorForm, LoadId, PositionId, SettingId } from '../switch/index.js';
import { inMachine } from '../testing/put-back.js';
import { bypasses } from '../refit/bypass.js';
import { guarding, GUARDING_CASES, type Guarding } from './guards.js';

const load = (kind: LoadKind): Load => ({
  ...{ id: kind as unknown as LoadId, name: kind, kind, amps: null, watts: null, volts: 230 },
  ...{ current: 'AC', removed: false },
});
const RUNS: LoadState = { does: 'full', share: 1, watts: null };
const OFF: LoadState = { does: 'off', share: 0, watts: null };

/** One handle by its positions: `rest* (momentary, springs to rest)`, `OFF ON*>OFF`; a star springs back. */
function handle(form: ActuatorForm, positions: string): Pick<Actuator, 'id' | 'form' | 'positions'> {
  return {
    id: 'handle' as never,
    form,
    positions: positions.split(' ').map((text) => {
      const [, name = '', star, to] = /^([^*>]+)(\*?)(?:>(.+))?$/.exec(text) ?? [];
      return {
        ...{ id: name as unknown as PositionId, name, pose: null },
        rests: star ? ('momentary' as const) : ('maintained' as const),
        returnsTo: (to ?? null) as PositionId | null,
      };
    }),
  };
}

function guards(form: ActuatorForm, positions: string, at: string, feeds: LoadKind | null): Guarding {
  const one = handle(form, positions);
  const other: Load = { ...load('lamp'), id: 'another' as unknown as LoadId };
  const all = feeds === null ? [] : [load(feeds), other];
  const loads = new Map(all.map(({ id }, place) => [id, place === 0 ? RUNS : OFF]));
  return guarding({ actuators: [one as Actuator] }, { at: { [one.id]: at } as never }, { loads }, all);
}

/** What is joined, on what handle, and what it feeds; worked out by hand (common practice: an interlock is never bridged). */
const TABLE: [string, ActuatorForm, string, string, LoadKind | null, Guarding][] = [
  // Guards: they open when they are let go or disturbed.
  ['a door that stops a drum', 'push', 'OPEN SHUT*>OPEN', 'SHUT', 'motor', 'guard'],
  ['a lid over a heater', 'push', 'OPEN SHUT*>OPEN', 'SHUT', 'resistive', 'guard'],
  ['a lid, where it springs to not said', 'push', 'OPEN SHUT*', 'SHUT', 'motor', 'guard'],
  ['a seat that feeds a control unit', 'push', 'UP DOWN*>UP', 'DOWN', 'electronics', 'guard'],
  ['a sprung trigger', 'trigger', 'REST PULLED*>REST', 'PULLED', 'motor', 'guard'],
  ['a two-hand button', 'push', 'OUT IN*>OUT', 'IN', 'motor', 'guard'],
  ['START of a station', 'push', 'OUT IN*>OUT', 'IN', 'resistive', 'guard'],
  ['STOP of a station: closed at rest, opens when pressed', 'push', 'OUT IN*>OUT', 'OUT', 'motor', 'guard'],
  ['a sprung START of a rotary', 'rotary', 'OFF RUN START*>RUN', 'START', 'motor', 'guard'],
  ['RUN of the same: START springs back to it', 'rotary', 'OFF RUN START*>RUN', 'RUN', 'motor', 'guard'],
  ['a dead-man lever', 'lever', 'UP HELD*>UP', 'HELD', 'motor', 'guard'],
  ['a door whose load nobody named', 'push', 'OPEN SHUT*>OPEN', 'SHUT', null, 'guard'],
  // Asked: what they feed can hurt less, or the form often guards.
  ['a door lamp', 'push', 'OPEN SHUT*>OPEN', 'OPEN', 'lamp', 'ask'],
  ['a horn relay', 'push', 'OUT IN*>OUT', 'IN', 'signal', 'ask'],
  ['a mushroom stop that latches', 'push-pull', 'OUT IN', 'OUT', 'motor', 'ask'],
  ['a key that stays', 'key', 'OFF ON', 'ON', 'motor', 'ask'],
  ['a push button of which nobody has said that it springs', 'push', 'OUT IN', 'IN', 'motor', 'ask'],
  ['a locked trigger', 'trigger', 'REST LOCKED', 'LOCKED', 'motor', 'ask'],
  ['nobody has said what the hand moves', 'unsaid', 'A B', 'B', 'lamp', 'ask'],
  // Harmless: a handle that is set and left; the plug stands in for its OFF.
  ['a toggle on a fan', 'toggle', 'OFF ON', 'ON', 'motor', 'none'],
  ['a lamp selector', 'rotary', 'OFF BOW STERN', 'BOW', 'lamp', 'none'],
  ['a three-heat selector', 'rotary', 'OFF LOW HIGH', 'HIGH', 'resistive', 'none'],
  ['a rocker of a kettle', 'rocker', 'OFF ON', 'ON', 'resistive', 'none'],
  ['a slide of a torch', 'slide', 'OFF ON', 'ON', 'lamp', 'none'],
  ['keys of a fan', 'key-bank', 'OFF LOW HIGH', 'LOW', 'motor', 'none'],
  ['a band switch', 'rotary', 'LW MW SW', 'MW', 'signal', 'none'],
  ['a lever of a pump', 'lever', 'OFF RUN', 'RUN', 'motor', 'none'],
  ['a centre-off toggle, its side that stays', 'toggle', 'ON1 OFF ON2*>OFF', 'ON1', 'motor', 'none'],
];

describe('what a jumper would pass by', () => {
  it.each(TABLE)('%s', (_, form, positions, at, feeds, says) =>
    expect(guards(form, positions, at, feeds)).toBe(says),
  );

  it('is refused where a map says that the position springs back, and says what it feeds', () => {
    const DOOR = { size: 2, settings: ['', '1-2'], wires: '1>L 2>drum.1' };
    const drum = { drum: { kind: 'motor' as const } };
    const plain = bypasses(inMachine(DOOR, drum));
    expect(plain[1]).toMatchObject({ allowed: true, ask: false });
    const sprung = inMachine(DOOR, drum, ({ structure }): Deed[] => {
      const [rest, held] = structure.actuators[0]?.positions ?? [];
      if (!rest || !held) throw new Error('two positions');
      return [
        {
          kind: 'restructured',
          change: {
            change: 'position-posed',
            ...{ position: held.id, rests: 'momentary', returnsTo: rest.id, pose: null },
          },
          basedOn: null,
        },
      ];
    });
    const [, held] = bypasses(sprung);
    expect(held).toMatchObject({ allowed: false, refusal: { because: 'springs' } });
    expect(
      held && !held.allowed && held.refusal.because === 'springs' ? held.refusal.loads : [],
    ).toHaveLength(1);
    expect(held?.setting).toBe(sprung.structure.settings[1]?.id as SettingId);
  });

  it('goes by what a person answered of the springs, and asks where nobody has, though the form suggests one', () => {
    const WINCH = { size: 3, settings: ['1-2', '', '1-3'], wires: '1>L 2>winch.1 3>winch.1' };
    const winch = { winch: { kind: 'motor' as const } };
    const of = (answer: (ids: (PositionId | undefined)[]) => Deed[]) =>
      bypasses(
        inMachine(WINCH, winch, ({ structure: { actuators } }): Deed[] => {
          const [lever] = actuators;
          if (!lever) throw new Error('one handle');
          const change = {
            change: 'actuator-described',
            actuator: lever.id,
            name: 'Winch',
            form: 'lever',
          } as const;
          return [
            { kind: 'restructured', change, basedOn: null },
            ...answer(lever.positions.map(({ id }) => id)),
          ];
        }),
      );
    const springs = (position: PositionId | undefined, found: PositionId | null, meant = found): Deed => ({
      kind: 'spring-answered',
      answer: { position: position as PositionId, found, meant },
    });
    const refused = { allowed: false, refusal: { because: 'springs' } };
    const [unsaid] = of(() => []);
    expect(unsaid).toMatchObject({ allowed: true, ask: true });
    const [dead, , other] = of(([left, rest, right]) => [springs(left, rest ?? null), springs(right, null)]);
    expect(dead).toMatchObject(refused);
    expect(other).toMatchObject({ allowed: true, ask: false });
    // A broken spring: it stays, and it's meant to spring back.
    const [broken] = of(([left, rest, right]) => [springs(left, null, rest ?? null), springs(right, null)]);
    expect(broken).toMatchObject(refused);
    const stays = of(([left, , right]) => [springs(left, null), springs(right, null)]);
    expect(stays[0]).toMatchObject({ allowed: true, ask: false });
  });

  it.each(GUARDING_CASES)('is refused past what is said to guard: %s', (what) => {
    const FAN = { size: 2, settings: ['', '1-2'], wires: '1>L 2>fan.1' };
    const map = inMachine(FAN, { fan: { kind: 'motor' as const } }, (): Deed[] => [
      { kind: 'case-noted', noted: { what, position: null, on: true } },
    ]);
    expect(bypasses(map)[1]).toMatchObject({
      allowed: false,
      refusal: { because: 'guard', case: what },
    });
  });
});

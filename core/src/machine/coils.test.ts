import { describe, expect, it } from 'vitest';
import type { Load } from '../log/index.js';
import { partitionFromGroups } from '../partition/index.js';
import type { LoadId, SettingId } from '../switch/index.js';
import { drawnHazards, type DrawnSetting } from '../testing/drawn-hazards.js';
import { conductionWith, conductsBetween } from './hunt/conduction.js';
import { inSetting } from './power/in-setting.js';
import { drawnCircuit, drawnContacts, type Drawn } from './wiring/drawn.js';

// Coils with contacts of their own, each answer worked out by hand (circuits as a textbook of controls draws them; common practice).

const MAINS: Drawn['supplies'] = { mains: { kind: 'L', volts: 230 }, return: { kind: 'N', volts: null } };
const contactor = (more: Partial<Load> = {}) =>
  ({ kind: 'motor', make: 'contactor', volts: 230, watts: 10, ...more }) as Partial<Load>;
const relay = (more: Partial<Load> = {}) => ({ ...contactor(more), make: 'relay' }) as Partial<Load>;
const MOTOR: Partial<Load> = { kind: 'motor', volts: 230, watts: 500 };
const LAMP: Partial<Load> = { kind: 'lamp', volts: 230, watts: 60 };

/** STOP opens 1–2, START closes 2–3 beside the holding contact 13–14. */
const START_STOP: Drawn = {
  terminals: '1 2 3',
  supplies: MAINS,
  loads: { K: contactor(), motor: MOTOR },
  wires: '1>mains 2>K.13 3>K.14 3>K.A1 K.A2>return mains>K.1 K.2>motor.1 motor.2>return',
};
/** The coil straight on a contact of the switch, nothing held. */
const PLAIN: Drawn = {
  terminals: '1 2',
  supplies: MAINS,
  loads: { K: contactor(), motor: MOTOR },
  wires: '1>mains 2>K.A1 K.A2>return mains>K.1 K.2>motor.1 motor.2>return',
};
/** A buzzer: the coil through its own resting contact. */
const BUZZER: Drawn = {
  terminals: '1 2',
  supplies: MAINS,
  loads: { K: relay(), lamp: LAMP },
  wires: '1>mains 2>K.11 K.12>K.A1 K.A2>return K.14>lamp.1 lamp.2>return',
};
/** One lamp on the resting contact, one on the working contact. */
const CHANGEOVER: Drawn = {
  terminals: '1 2',
  supplies: MAINS,
  loads: { K: relay(), rest: LAMP, work: LAMP },
  wires: '1>mains 2>K.A1 K.A2>return mains>K.11 K.12>rest.1 K.14>work.1 rest.2>return work.2>return',
};
/** Forward on lug 2, back on lug 3; the motor between the poles of two contactors that cross it. */
const crossed = (more: string, loads: Drawn['loads'] = {}): Drawn => ({
  terminals: '1 2 3',
  supplies: { plus: { kind: '+', volts: 230, current: 'DC' }, minus: { kind: '0', volts: null, current: 'DC' } },
  loads: {
    F: contactor(),
    B: contactor(),
    motor: { kind: 'motor', make: 'permanent-magnet', volts: 230, current: 'DC' } as Partial<Load>,
    ...loads,
  },
  wires: `1>plus plus>F.1 plus>B.1 minus>F.3 minus>B.3 F.2>motor.+ B.2>motor.- F.4>motor.- B.4>motor.+ ${more}`,
}); // prettier-ignore
const FREE = crossed('2>F.A1 3>B.A1 F.A2>minus B.A2>minus');
const MECHANICAL = crossed('2>F.A1 3>B.A1 F.A2>minus B.A2>minus', {
  B: contactor({ interlocked: ['F' as LoadId] }),
});
/** Each coil through the resting contact of the other. */
const ELECTRICAL = crossed('2>B.21 B.22>F.A1 3>F.21 F.22>B.A1 F.A2>minus B.A2>minus');
const onVolts = (volts: number): Drawn => ({
  ...PLAIN,
  supplies: { mains: { kind: 'L', volts }, return: { kind: 'N', volts: null } },
});

/** Two relays ordered at once, each through the resting contact of the other; one of them joins both poles when it is in. */
const RACE: Drawn = {
  ...ELECTRICAL,
  loads: { F: contactor(), B: contactor() },
  wires: '1>plus 2>B.21 B.22>F.A1 3>F.21 F.22>B.A1 F.A2>minus B.A2>minus plus>F.1 F.2>minus',
};
/** Seven coils, one more than is worked out. */
const SEVEN: Drawn = {
  terminals: '1 2',
  supplies: MAINS,
  loads: { ...Object.fromEntries([1, 2, 3, 4, 5, 6, 7].map((at) => [`K${at}`, relay()])), lamp: LAMP },
  wires: `1>mains ${[1, 2, 3, 4, 5, 6, 7].map((at) => `2>K${at}.A1 K${at}.A2>return`).join(' ')} mains>K7.11 K7.12>lamp.1 lamp.2>return`,
};

function does(drawn: Drawn, joins: string): string {
  const { loads } = inSetting(drawnCircuit(drawn), 's' as SettingId, drawnContacts(drawn.terminals, joins));
  return [...loads]
    .map(([id, one]) => `${id} ${one.does}${one.held ? ` or ${one.held.join('/')}` : ''}`)
    .join(', ');
}

describe('a coil with contacts of its own', () => {
  it.each<[string, Drawn, string, string]>([
    ['STOP', START_STOP, '', 'K off, motor off'],
    ['at rest: off until started, then held', START_STOP, '1-2', 'K off or full, motor off or full'],
    ['START', START_STOP, '1-2-3', 'K full, motor full'],
    ['straight on its contact, off', PLAIN, '', 'K off, motor off'],
    ['straight on its contact, on', PLAIN, '1-2', 'K full, motor full'],
    ['through its own resting contact', BUZZER, '1-2', 'K chatters, lamp chatters'],
    ['the buzzer without current', BUZZER, '', 'K off, lamp off'],
    ['its resting contact feeds', CHANGEOVER, '', 'K off, rest full, work off'],
    ['its working contact feeds', CHANGEOVER, '1-2', 'K full, rest off, work full'],
    ['forward', FREE, '1-2', 'F full, B off, motor full'],
    ['back', FREE, '1-3', 'F off, B full, motor reversed'],
    ['a mechanical interlock, forward', MECHANICAL, '1-2', 'F full, B off, motor full'],
    ['both ordered under a mechanical interlock: which is first?', MECHANICAL, '1-2-3', 'F full, B full, motor not-known'],
    ['both ordered, each through the other: which is first?', ELECTRICAL, '1-2-3', 'F not-known, B not-known, motor not-known'],
    ['each through the other, back', ELECTRICAL, '1-3', 'F off, B full, motor reversed'],
    // 85 % of 230 V is 195.5 V: from there it pulls in for certain; under 20 %, 46 V, it does not.
    ['on 200 V', onVolts(200), '1-2', 'K part, motor part'],
    ['on 150 V: it may or may not', onVolts(150), '1-2', 'K part, motor not-known'],
    ['on 40 V', onVolts(40), '1-2', 'K part, motor off'],
  ])('%s', (_, drawn, joins, says) => expect(does(drawn, joins)).toBe(says)); // prettier-ignore

  const kinds = (drawn: Drawn, settings: readonly DrawnSetting[]) => [
    ...new Set(drawnHazards(drawn, settings).map(({ kind }) => kind)),
  ];

  it.each<[string, Drawn, DrawnSetting[], string[]]>([
    ['a start button and a holding contact', START_STOP, ['', '1-2', { joins: '1-2-3', springs: true }], []],
    ['START that stays', START_STOP, ['', '1-2', '1-2-3'], ['restarts']],
    ['a maintained contact', PLAIN, ['', '1-2'], ['restarts']],
    ['a lamp started by a coil hurts nobody', CHANGEOVER, ['', '1-2'], []],
    ['a buzzer', BUZZER, ['', '1-2'], ['chatters']],
    ['both directions at once, nothing between them', FREE, ['', { joins: '1-2-3', springs: true }], ['short']],
    ['the same with a mechanical interlock', MECHANICAL, ['', { joins: '1-2-3', springs: true }], []],
    ['the same, each through the other', ELECTRICAL, ['', { joins: '1-2-3', springs: true }], []],
  ])('hurts: %s', (_, drawn, settings, says) => expect(kinds(drawn, settings)).toEqual(says)); // prettier-ignore

  it('reads through its resting contact on the dead machine, and not through its working one', () => {
    const circuit = drawnCircuit(CHANGEOVER);
    const dead = conductionWith(circuit, partitionFromGroups(2, []), { kind: 'none' });
    const node = (end: string) => circuit.endNode.get(`K ${end}`) as number;
    expect(conductsBetween(dead, node('11'), node('12'))).toBe('closed');
    expect(conductsBetween(dead, node('11'), node('14'))).not.toBe('closed');
  });

  it('that races for a short may make it: that is not certain', () => {
    const shorts = (joins: string) =>
      drawnHazards(RACE, [joins]).flatMap((one) => (one.kind === 'short' ? [one.certain] : []));
    expect([shorts('1-2-3'), shorts('1-2'), shorts('1-3')]).toEqual([[false], [true], []]);
  });

  it('says nothing of any load where there are more coils than are worked out', () => {
    const all = does(SEVEN, '');
    expect(all.match(/not-known/g)).toHaveLength(8);
  });

  it('burnt out pulls in nothing', () => {
    const contacts = drawnContacts(CHANGEOVER.terminals, '1-2');
    const { loads } = inSetting(drawnCircuit(CHANGEOVER), 's' as SettingId, contacts, {
      dead: new Set(['K' as LoadId]),
    });
    expect([...loads.values()].map((one) => one.does)).toEqual(['off', 'full', 'off']);
  });
});

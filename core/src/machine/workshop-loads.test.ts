import { describe, expect, it } from 'vitest';
import type { Load, Supply } from '../log/index.js';
import type { TerminalId } from '../switch/index.js';
import { deriveMap } from '../continuity/index.js';
import { bench, CLOSED, OPEN } from '../testing/generated.js';
import { drawnDoes, drawnHazards, type DrawnSetting } from '../testing/drawn-hazards.js';
import { isNote } from './power/meeting.js';
import { inEverySetting } from './hazards/in-every-setting.js';
import { AS_MAPPED } from './standing/in-place.js';
import { drawnMachine, type Drawn } from './wiring/drawn.js';

// Loads that a workshop has, each answer worked out by hand beside its case (rules of the windings: common practice).

const MAINS: Drawn['supplies'] = { mains: { kind: 'L', volts: 230 }, return: { kind: 'N', volts: null } };
const BATTERY: Drawn['supplies'] = {
  battery: { kind: '+', volts: 12, current: 'DC' },
  minus: { kind: '0', volts: null, current: 'DC' },
};
const motor = (make: Load['make'], more: Partial<Load> = {}): Drawn['loads'] => ({
  motor: { kind: 'motor', make, volts: 230, ...more } as Partial<Load>,
});
const onDirect = { volts: 12, current: 'DC' } as const;

/** Two windings for two speeds: L1 on lug 2, H1 on lug 3, both back to the return. */
const TWO_SPEED: Drawn = {
  terminals: '1 2 3',
  supplies: MAINS,
  loads: motor('two-speed'),
  wires: '1>mains 2>motor.L1 3>motor.H1 motor.L2>return motor.H2>return',
};
/** One winding with three taps on lugs 2 to 4. */
const TAPPED: Drawn = {
  terminals: '1 2 3 4',
  supplies: MAINS,
  loads: motor('tapped'),
  wires: '1>mains 2>motor.T1 3>motor.T2 4>motor.T3 motor.C>return',
};
/** A series motor: the field on lugs 2 and 3, the armature from lug 4 to the minus. */
const SERIES: Drawn = {
  terminals: '1 2 3 4 5',
  supplies: BATTERY,
  loads: motor('series-wound', onDirect),
  wires: '1>battery 2>motor.F1 3>motor.F2 4>motor.A1 motor.A2>minus 5>minus',
};
const SERIES_TURNED: Drawn = {
  terminals: 'P M F A B',
  supplies: BATTERY,
  loads: motor('series-wound', onDirect),
  wires: 'P>battery M>minus F>motor.F2 battery>motor.F1 A>motor.A1 B>motor.A2',
};
/** A shunt motor: armature and field each by a contact of its own. */
const SHUNT: Drawn = {
  terminals: '1 2 3',
  supplies: BATTERY,
  loads: motor('shunt-wound', onDirect),
  wires: '1>battery 2>motor.A1 3>motor.F1 motor.A2>minus motor.F2>minus',
};
const SPLIT: Drawn = {
  terminals: '1 2 3',
  supplies: MAINS,
  loads: motor('run-start'),
  wires: '1>mains 2>motor.R 3>motor.S motor.C>return',
};
/** Main and start winding apart; 2 feeds the main winding, 3 and 4 the start winding one way or the other. */
const REVERSIBLE: Drawn = {
  terminals: '1 2 3 4 5',
  supplies: MAINS,
  loads: motor('reversible'),
  wires: '1>mains 2>motor.M1 motor.M2>return 3>motor.S1 4>motor.S2 5>return',
};
/** A lamp, an alternator and a battery on a switch that isolates the battery. */
const ISOLATOR: Drawn = {
  terminals: '1 2 3',
  supplies: { ...BATTERY, second: { kind: '+', volts: 12, current: 'DC' } as Partial<Supply> },
  sources: {
    House: { poles: 'battery', volts: 12, shares: 'Engine', with: 'Engine' },
    Engine: { poles: 'second minus', volts: 12, shares: 'House' },
  },
  loads: {
    alternator: { kind: 'electronics', make: 'alternator', ...onDirect } as Partial<Load>,
    lamp: { kind: 'lamp', ...onDirect },
  },
  wires: '1>battery 3>second 2>alternator.+ 2>lamp.1 alternator.->minus lamp.2>minus',
};
/** Two current transformers on one meter: lugs 1 and 2 their far ends, 3 the meter, 4 the common that shorts them. */
const METERING: Drawn = {
  terminals: '1 2 3 4',
  supplies: {},
  loads: {
    first: { kind: 'signal', make: 'current-transformer' } as Partial<Load>,
    second: { kind: 'signal', make: 'current-transformer' } as Partial<Load>,
    meter: { kind: 'signal' },
  },
  wires: '1>first.1 2>second.1 3>meter.1 4>first.2 4>second.2 4>meter.2',
};
/** A lamp behind a diode. */
const HALF: Drawn = {
  terminals: '1 2',
  supplies: MAINS,
  loads: { lamp: { kind: 'lamp', make: 'half-wave', volts: 230, watts: 60 } as Partial<Load> },
  wires: '1>mains 2>lamp.1 lamp.2>return',
};
const SHADED: Drawn = { ...HALF, loads: motor('shaded-pole'), wires: '1>mains 2>motor.1 motor.2>return' };

const hurts = (drawn: Drawn, settings: readonly DrawnSetting[], makesBefore: boolean | null = false) =>
  drawnHazards(drawn, settings, makesBefore).flatMap((one) =>
    'how' in one && isNote(one.how)
      ? []
      : [
          [
            one.kind,
            ...('certain' in one && !one.certain ? ['not known'] : []),
            ...('load' in one ? [one.load] : []),
          ].join(' '),
        ],
  );

const DOES: [string, Drawn, string, string][] = [
  ['two speeds, slow', TWO_SPEED, '1-2', 'full'],
  ['two speeds, fast', TWO_SPEED, '1-3', 'full'],
  ['two speeds, both: it does not turn', TWO_SPEED, '1-2-3', 'stalled'],
  ['a tap, fastest', TAPPED, '1-2', 'full'],
  ['a tap, slower: how much is a matter of its turns', TAPPED, '1-3', 'part ?'],
  ['a tap, slowest', TAPPED, '1-4', 'part ?'],
  ['a tap, off', TAPPED, '', 'off'],
  ['a series motor', SERIES_TURNED, 'F-A M-B', 'full'],
  ['a series motor, its armature turned', SERIES_TURNED, 'F-B M-A', 'reversed'],
  ['a series motor, the field alone', SERIES_TURNED, 'F-M', 'stalled'],
  ['a shunt motor', SHUNT, '1-2-3', 'full'],
  ['a shunt motor, its field alone', SHUNT, '1-3', 'stalled'],
  ['a shunt motor on AC hums', { ...SHUNT, supplies: { battery: { kind: 'L', volts: 12 }, minus: { kind: 'N', volts: null } } }, '1-2-3', 'stalled'],
  ['half wave: half of its power', HALF, '1-2', 'part 50'],
  ['half wave on DC: all or nothing, by the diode', { ...HALF, supplies: { mains: { kind: '+', volts: 230, current: 'DC' }, return: { kind: '0', volts: null, current: 'DC' } } }, '1-2', 'not-known'],
  ['a shaded pole', SHADED, '1-2', 'full'],
  ['a universal motor through a diode', { ...SHADED, loads: motor('universal', { diode: true }) }, '1-2', 'part 50'],
  ['a shaded pole on DC hums', { ...SHADED, supplies: { mains: { kind: '+', volts: 230, current: 'DC' }, return: { kind: '0', volts: null, current: 'DC' } } }, '1-2', 'stalled'],
  ['an alternator on its battery, and the lamp', ISOLATOR, '1-2', 'full full'],
]; // prettier-ignore

const HURTS: [string, Drawn, DrawnSetting[], boolean | null, string[]][] = [
  ['two speeds one after the other', TWO_SPEED, ['1-2', '', '1-3'], null, []],
  ['two speeds at once', TWO_SPEED, ['1-2-3'], false, ['fed-together motor']],
  ['two speeds in passing, makes first', TWO_SPEED, ['1-2', '1-3'], true, ['fed-together-in-passing motor']],
  ['two speeds in passing, not known', TWO_SPEED, ['1-2', '1-3'], null, ['fed-together-in-passing not known motor']],
  ['two speeds in passing, breaks first', TWO_SPEED, ['1-2', '1-3'], false, []],
  ['two taps at once', TAPPED, ['1-2-3'], false, ['fed-together motor']],
  ['two taps joined and not fed: no current', TAPPED, ['2-3'], false, []],
  ['two taps in passing, makes first', TAPPED, ['1-3', '1-2'], true, ['fed-together-in-passing motor']],
  ['a shunt motor that loses its field', SHUNT, ['1-2-3', '1-2'], false, ['field-lost motor']],
  ['a series motor whose armature lies on the battery by itself', SERIES, ['1-2 3-4', '1-4'], false, ['field-lost motor']],
  ['a start winding that nothing ever feeds', SPLIT, ['', '1-2'], false, ['no-start motor']],
  ['one that a sprung START feeds', SPLIT, ['', '1-2', { joins: '1-2-3', springs: true }], false, []],
  ['one that stays fed', SPLIT, ['', '1-2-3'], false, ['start-stays motor']],
  ['a reversible motor with its start winding dead both ways', REVERSIBLE, ['1-2', '', '1-2'], false, ['no-start motor']],
  ['with it alive one way: it was fed once, and starts there', REVERSIBLE, ['1-2-3 4-5', '', '1-2-4 3-5'], false, []],
  ['a shaded pole through a diode', { ...SHADED, loads: motor('shaded-pole', { diode: true }) }, ['', '1-2'], false, ['half-wave motor']],
  ['a transformer through a diode', { ...SHADED, loads: { motor: { kind: 'electronics', volts: 230, diode: true } as Partial<Load> } }, ['', '1-2'], false, ['half-wave motor']],
  ['a universal motor through a diode: it runs slower', { ...SHADED, loads: motor('universal', { diode: true }) }, ['', '1-2'], false, []],
  ['a heater through a diode', HALF, ['', '1-2'], false, []],
  ['the battery isolated under the alternator', ISOLATOR, ['1-2', ''], false, ['left-open alternator']],
  ['from battery 1 to 2 with a gap', ISOLATOR, ['1-2', '2-3'], false, ['left-open-in-passing alternator']],
  ['from battery 1 to 2, not known', ISOLATOR, ['1-2', '2-3'], null, ['left-open-in-passing not known alternator']],
  ['from 1 to both to 2: never cut off', ISOLATOR, ['1-2', '1-2-3', '2-3'], false, []],
  ['makes before it breaks', ISOLATOR, ['1-2', '2-3'], true, []],
  ['each transformer on the meter, the other open', METERING, ['1-3', '2-3'], true, ['left-open second', 'left-open first']],
  ['the other shorted', METERING, ['1-3 2-4', '2-3 1-4'], true, []],
  ['the other shorted, with a gap between: both open', METERING, ['1-3 2-4', '2-3 1-4'], false, ['left-open-in-passing first', 'left-open-in-passing second']],
]; // prettier-ignore

describe('loads of a workshop', () => {
  it.each(DOES)('does: %s', (_, drawn, joins, says) => expect(drawnDoes(drawn, joins)).toBe(says));
  it.each(HURTS)('hurts: %s', (_, drawn, settings, makesBefore, says) =>
    expect(hurts(drawn, settings, makesBefore)).toEqual(says),
  );

  it('that stay live at OFF name the pole that stays', () => {
    const [found] = drawnHazards({ ...HALF, wires: '1>lamp.2 2>return lamp.1>mains' }, ['', '1-2']);
    expect(found).toMatchObject({ kind: 'live-at-off', supplies: ['mains'] });
  });

  it('two batteries in series meet as a short where both ways of joining them overlap', () => {
    // In series: minus of the first on plus of the second. In parallel: plus on plus, minus on minus. Both at once: each is shorted.
    const both: Drawn = {
      terminals: '1 2 3 4',
      supplies: {
        a: { kind: '+', volts: 12, current: 'DC' },
        less: { kind: '0', volts: null, current: 'DC' },
        b: { kind: '+', volts: 12, current: 'DC' },
        minus: { kind: '0', volts: null, current: 'DC' },
      },
      sources: {
        First: { poles: 'a less', volts: 12, shares: 'nothing' },
        Second: { poles: 'b minus', volts: 12, shares: 'nothing', with: 'First' },
      },
      loads: { lamp: { kind: 'lamp', volts: null, current: 'DC' } },
      wires: '1>a 2>less 3>b 4>minus lamp.1>a lamp.2>minus',
    };
    expect(hurts(both, ['2-3', '1-3 2-4'], true)).toContain('short-in-passing');
    expect(hurts(both, ['2-3', '', '1-3 2-4'], true)).not.toContain('short-in-passing');
  });
});

describe('a leak to the frame', () => {
  /** Lugs 1 and 2, a frame, closed in the second of two settings; so many ohms from a lug to the frame. */
  const leaking = (lug: number, ohms: number, supplies: Drawn['supplies']) => {
    const on = bench(3, 2);
    on.add({
      kind: 'restructured',
      change: { change: 'terminal-role', terminal: on.terminals[2] as TerminalId, role: 'frame' },
      basedOn: null,
    });
    on.read(0, 0, 1, OPEN);
    on.read(1, 0, 1, CLOSED);
    on.read(0, lug, 2, { kind: 'ohms', ohms });
    const [live, back] = Object.keys(supplies);
    const drawn = { ...HALF, terminals: '1 2 3', supplies, wires: `1>${live} 2>lamp.1 lamp.2>${back}` };
    const { hazards } = inEverySetting(drawnMachine(drawn, deriveMap(on.events)), AS_MAPPED);
    return hazards.map((one) => [one.kind, 'places' in one ? one.places : []]);
  };

  // By hand: lug 1 is live in both settings, lug 2 only when the contact is closed; 12 V hurts no hand.
  it.each<[string, number, number, Drawn['supplies'], number]>([
    ['of the lug that the phase comes to: in both settings', 0, 2e6, MAINS, 2],
    ['of the switched lug: where it is closed', 1, 2e6, MAINS, 1],
    ['on a battery: none', 0, 2e6, BATTERY, 0],
    ['of 90 MΩ: none', 0, 90e6, MAINS, 0],
  ])('%s', (_, lug, ohms, supplies, times) => {
    const found = leaking(lug, ohms, supplies).filter(([kind]) => kind === 'leak-to-frame');
    expect(found).toEqual(Array(times).fill(['leak-to-frame', [lug]]));
  });
});

describe('a leak beside the mains', () => {
  /** A mains lamp on lugs 1 and 2, a lamp of 12 V on 3 and 4, a frame as lug 5; one lug leaks to the frame. */
  const found = (lug: number, low: number | null) => {
    const on = bench(5, 1);
    on.add({
      kind: 'restructured',
      change: { change: 'terminal-role', terminal: on.terminals[4] as TerminalId, role: 'frame' },
      basedOn: null,
    });
    on.read(0, 0, 1, CLOSED);
    on.read(0, 2, 3, CLOSED);
    on.read(0, lug, 4, { kind: 'ohms', ohms: 2e6 });
    const drawn: Drawn = {
      terminals: '1 2 3 4 5',
      supplies: {
        ...MAINS,
        battery: { kind: '+', volts: low, current: 'DC' },
        minus: { kind: '0', volts: null, current: 'DC' },
      },
      loads: { lamp: { kind: 'lamp', volts: 230 }, small: { kind: 'lamp', volts: low, current: 'DC' } },
      wires: '1>mains 2>lamp.1 lamp.2>return 3>battery 4>small.1 small.2>minus',
    };
    const { hazards } = inEverySetting(drawnMachine(drawn, deriveMap(on.events)), AS_MAPPED);
    return hazards.flatMap((one) => (one.kind === 'leak-to-frame' ? [one.certain] : []));
  };

  // By hand: 230 V hurts; 12 V beside it does not; of a supply whose volts nobody has said it is not known.
  it.each<[string, number, number | null, boolean[]]>([
    ['from the mains', 0, 12, [true]],
    ['from the twelve volts', 2, 12, []],
    ['from what nobody has said', 2, null, [false]],
    ['from the mains beside what nobody has said', 0, null, [true]],
  ])('%s', (_, lug, low, says) => expect(found(lug, low)).toEqual(says));
});

describe('a leak across an open contact', () => {
  /** Lugs 1 to 3: the phase on 1, a lamp on 2, nothing on 3; closed in the second of two settings. */
  const across = (ohms: number, supplies: Drawn['supplies'], pair: [number, number] = [0, 1]) => {
    const on = bench(3, 2);
    on.read(0, ...pair, { kind: 'ohms', ohms });
    on.read(1, 0, 1, CLOSED);
    for (const setting of [0, 1]) on.read(setting, 0, 2, OPEN);
    if (pair[1] !== 1) on.read(0, 0, 1, OPEN);
    const [live, back] = Object.keys(supplies);
    const drawn = { ...HALF, terminals: '1 2 3', supplies, wires: `1>${live} 2>lamp.1 lamp.2>${back}` };
    const { hazards } = inEverySetting(drawnMachine(drawn, deriveMap(on.events)), AS_MAPPED);
    return hazards.flatMap((one) =>
      one.kind === 'leak-across' ? [[one.load, one.places, ...(one.certain ? [] : ['perhaps'])]] : [],
    );
  };
  const high: Drawn['supplies'] = {
    plus: { kind: '+', volts: 230, current: 'DC' },
    minus: { kind: '0', volts: null, current: 'DC' },
  };

  const UNSAID: Drawn['supplies'] = {
    plus: { kind: '+', volts: null, current: 'DC' },
    minus: { kind: '0', volts: null, current: 'DC' },
  };

  // By hand: where the contact is open the lamp is off and its lug is reached through the leak; where it is closed the lamp runs.
  it.each<[string, number, Drawn['supplies'], [number, number] | undefined, unknown[]]>([
    ['on the mains: off, not dead', 5e6, MAINS, undefined, [['lamp', [0, 1]]]],
    ['on 230 V DC', 5e6, high, undefined, [['lamp', [0, 1]]]],
    ['read the other way round', 5e6, MAINS, [1, 0], [['lamp', [1, 0]]]],
    ['on a battery of 12 V: none', 5e6, BATTERY, undefined, []],
    [
      'on a supply of unsaid volts: not known to be safe',
      5e6,
      UNSAID,
      undefined,
      [['lamp', [0, 1], 'perhaps']],
    ],
    ['of 90 MΩ: none', 90e6, MAINS, undefined, []],
    ['to a lug that feeds nothing: none', 5e6, MAINS, [0, 2], []],
  ])('%s', (_, ohms, supplies, pair, wanted) => {
    expect(across(ohms, supplies, pair)).toEqual(wanted);
  });
});

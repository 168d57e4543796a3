import { describe, expect, it } from 'vitest';
import type { LoadId, SettingId } from '../switch/index.js';
import { drawnDoes, drawnHazards, type DrawnSetting } from '../testing/drawn-hazards.js';
import { inSetting } from './power/in-setting.js';
import { drawnCircuit, drawnContacts, type Drawn } from './wiring/drawn.js';

// What a machine does and what can hurt in it, each answer worked out by hand beside its case (common practice; tolerance of a supply
// and of what it feeds: a tenth, IEC 60038, from memory).

const L = { kind: 'L', volts: 230 } as const;
const N = { kind: 'N', volts: null } as const;
const PLUS = { kind: '+', volts: 12, current: 'DC' } as const;
const MINUS = { kind: '0', volts: null, current: 'DC' } as const;
const MAINS = { mains: L, return: N };
const BATTERY = { battery: PLUS, minus: MINUS };
const phases = {
  P1: { kind: 'L1', volts: 230 },
  P2: { kind: 'L2', volts: 230 },
  P3: { kind: 'L3', volts: 230 },
  return: N,
} as const;
const heater = { kind: 'resistive', volts: 230, watts: 500 } as const;
const lamp = { kind: 'lamp', volts: 230, watts: 60 } as const;

/** What a hazard is, in short: its kind or how sources meet, with figures. */
const short = (drawn: Drawn, settings: readonly DrawnSetting[], makesBefore: boolean | null = false) =>
  drawnHazards(drawn, settings, makesBefore).map((one) => {
    const figures = 'at' in one ? [`${Math.round(one.at)}/${one.rated}`] : [];
    const certain = 'certain' in one && !one.certain ? ['not known'] : [];
    return ['how' in one ? one.how : one.kind, ...figures, ...certain].join(' ');
  });

const on = (load: object, supplies: Drawn['supplies'] = MAINS): Drawn => ({
  terminals: '1 2',
  supplies,
  loads: { load },
  wires: `1>${Object.keys(supplies)[0]} 2>load.1 load.2>${Object.keys(supplies).at(-1)}`,
});
const series = (one: object, other: object): Drawn => ({
  terminals: '1 2',
  supplies: MAINS,
  loads: { one, other },
  wires: '1>mains 2>one.1 one.2>other.1 other.2>return',
});

/** Loads and figures: what it does with the contact closed. */
const FIGURES: [string, Drawn, string][] = [
  ['a heater on its volts', on(heater), 'full'],
  ['on 8 % less: that is full', on({ ...heater, volts: 250 }), 'full'],
  ['on 17 % less: a part of (230 / 277)²', on({ ...heater, volts: 277 }), 'part 69'],
  ['on half its volts: a quarter', on({ ...heater, volts: 460 }), 'part 25'],
  ['of which nobody said the volts: full', on({ kind: 'resistive' }), 'full'],
  ['two alike in series: a quarter each', series(heater, heater), 'part 25 part 25'],
  ['500 W and 1,000 W in series: 4/9 and 1/9', series(heater, { ...heater, watts: 1000 }), 'part 44 part 11'],
  ['in series with one of unknown power: a part, how much nobody knows', series(heater, { ...heater, watts: null }), 'part ? part ?'],
  ['both of unknown power: the same', series({ kind: 'resistive' }, { kind: 'resistive' }), 'part ? part ?'],
  ['a load takes AC or DC from its source', on({ kind: 'lamp', volts: 12, watts: 10, current: 'AC' }, BATTERY), 'full'],
  ['a motor for DC on AC hums', { ...on({ kind: 'motor', make: 'permanent-magnet', volts: 230 }), wires: '1>mains 2>load.+ load.->return' }, 'stalled'],
]; // prettier-ignore

/** Hazards of one setting, or of a few in handle order. */
const HAZARDS: [string, Drawn, DrawnSetting[], string[]][] = [
  ['115 V on 230: burns out', on({ ...heater, volts: 115 }), ['1-2'], ['over-volts 230/115']],
  ['250 V ones on 230: within a tenth', on({ ...heater, volts: 250 }), ['1-2'], []],
  ['210 V ones on 230: within a tenth', on({ ...heater, volts: 210 }), ['1-2'], []],
  ['200 V ones on 230: 115 %', on({ ...heater, volts: 200 }), ['1-2'], ['over-volts 230/200']],
  ['a lamp low on purpose', on({ ...lamp, volts: 400 }), ['1-2'], []],
  ['a motor low', on({ kind: 'motor', make: 'universal', volts: 400 }), ['1-2'], ['under-volts 230/400']],
  ['electronics low', on({ kind: 'electronics', volts: 400 }), ['1-2'], ['under-volts 230/400']],
  ['24 V on a 12 V lamp', on({ kind: 'lamp', volts: 12, current: 'DC' }, { battery: { ...PLUS, volts: 24 }, minus: MINUS }), ['1-2'], ['over-volts 24/12']],
  ['only the return is broken', { ...on(lamp), wires: '1>load.2 2>return load.1>mains' }, [''], ['live-at-off']],
  ['both are broken', { terminals: '1 2 3 4', supplies: MAINS, loads: { load: lamp }, wires: '1>mains 2>load.1 3>return 4>load.2' }, ['', '1-2 3-4'], []],
  ['phase and neutral joined', { ...on(lamp), wires: '1>mains 2>return load.1>mains load.2>return' }, ['1-2'], ['short']],
  ['a bond to earth carries current', { ...on(lamp, { ...MAINS, pe: { kind: 'earth', volts: null } }), wires: '1>mains 2>pe load.1>mains load.2>return' }, ['1-2'], ['short']],
]; // prettier-ignore

/** A neutral lost between two loads on two phases: 400 V over both, the weaker one takes the most of it. */
const LOST_NEUTRAL: Drawn = {
  terminals: '1 2',
  supplies: phases,
  loads: { big: { ...heater, watts: 2000 }, small: { ...lamp, watts: 60 } },
  wires: 'big.1>P1 small.1>P2 big.2>1 small.2>1 2>return',
};

const SIX = 'U1 V1 W1 U2 V2 W2';
/** A three-phase drum: its six ends on lugs, star and delta by the contacts. */
const DRUM: Drawn = {
  terminals: `L1 L2 L3 ${SIX}`,
  supplies: { P1: phases.P1, P2: phases.P2, P3: phases.P3 },
  loads: { motor: { kind: 'motor', make: 'three-phase', volts: 400 } },
  wires: `L1>P1 L2>P2 L3>P3 ${SIX.split(' ')
    .map((end) => `${end}>motor.${end}`)
    .join(' ')}`,
};
const STAR = 'L1-U1 L2-V1 L3-W1 U2-V2-W2';
const DELTA = 'L1-U1-W2 L2-V1-U2 L3-W1-V2';

/** Every contact of the drum that may be dead, and what that comes to, by hand. */
const DEAD: [string, string, string[]][] = [
  ['star, L1 dead', 'L2-V1 L3-W1 U2-V2-W2', ['phase-lost']],
  ['star, L2 dead', 'L1-U1 L3-W1 U2-V2-W2', ['phase-lost']],
  ['star, L3 dead', 'L1-U1 L2-V1 U2-V2-W2', ['phase-lost']],
  ['star, the star point off U2', 'L1-U1 L2-V1 L3-W1 V2-W2', ['phase-lost']],
  ['delta, L1 dead', 'U1-W2 L2-V1-U2 L3-W1-V2', ['phase-lost']],
  ['delta, one winding open', 'L1-U1 L2-V1-U2 L3-W1-V2', ['phase-lost']],
  ['star and delta at once', `${DELTA} U2-V2-W2`, ['short']],
];

/** A winch: two directions, off between; permanent magnet. */
const WINCH: Drawn = {
  terminals: 'P M A B',
  supplies: BATTERY,
  loads: { motor: { kind: 'motor', make: 'permanent-magnet', volts: 12, current: 'DC' } },
  wires: 'P>battery M>minus A>motor.+ B>motor.-',
};
const [OUT, IN] = ['P-A M-B', 'P-B M-A'];
const WELDED: [string, string, string][] = [
  ['out as it should', OUT, 'full'],
  ['in as it should', IN, 'reversed'],
  ['off as it should: neither end fed', '', 'off'],
  ['off, one end on minus', 'M-B', 'off'],
  ['off, one end stays on plus: live', 'P-A', 'floating'],
  ['off, both ends on minus: braked', 'A-B-M', 'braked'],
  ['off, both ends on plus: braked, and live', 'P-A-B', 'braked'],
  ['out, the minus contact dead', 'P-A', 'floating'],
  ['out, the plus contact dead', 'M-B', 'off'],
];

describe('cases worked out by hand', () => {
  it.each(FIGURES)('does: %s', (_, drawn, says) => expect(drawnDoes(drawn, '1-2')).toBe(says));
  it.each(HAZARDS)('hurts: %s', (_, drawn, settings, says) => expect(short(drawn, settings)).toEqual(says));

  it('a lost neutral between phases: the weak load takes nearly all of 398 V', () => {
    // 60 W at 230 V is 882 Ω, 2,000 W is 26.5 Ω; 398 V · 882 / 908 = 387 V.
    expect(short(LOST_NEUTRAL, [''])).toEqual(['over-volts 387/230']);
    expect(short(LOST_NEUTRAL, ['1-2'])).toEqual([]);
  });

  it('star is a third of the power, low on purpose; delta is full', () => {
    expect([drawnDoes(DRUM, STAR), drawnDoes(DRUM, DELTA)]).toEqual(['part 33', 'full']);
    expect(short(DRUM, [STAR, DELTA])).toEqual([]);
    // Delta on windings made for star's 230 V: 173 %.
    const low = { ...DRUM, loads: { motor: { ...DRUM.loads['motor'], volts: 230 } } };
    expect(short(low, [DELTA])).toEqual(['over-volts 398/230']);
  });

  it.each(DEAD)('a drum: %s', (_, joins, says) => expect(short(DRUM, [joins])).toEqual(says));

  it.each(WELDED)('a winch: %s', (_, joins, says) => expect(drawnDoes(WINCH, joins)).toBe(says));

  it('a winch: turned about with no stop between, and a short in passing where it makes first', () => {
    expect(short(WINCH, [OUT, IN])).toEqual(['reversed-at-once']);
    expect(short(WINCH, [OUT, IN], true)).toEqual(['reversed-at-once', 'short-in-passing']);
    expect(short(WINCH, [OUT, IN], null)).toEqual(['reversed-at-once', 'short-in-passing not known']);
    expect(short(WINCH, [OUT, '', IN], null)).toEqual([]);
  });

  it('nothing is said to be free of hazards where a figure is not known', () => {
    const unsaid: Drawn = { ...on({ kind: 'resistive' }), wires: '1>mains 2>load.1 load.2>return 2>?' };
    const { loads } = inSetting(drawnCircuit(unsaid), 's' as SettingId, drawnContacts('1 2', ''));
    expect(loads.get('load' as LoadId)?.does).toBe('not-known');
  });

  it('are forty or more', () => {
    expect(FIGURES.length + HAZARDS.length + DEAD.length + WELDED.length + 9).toBeGreaterThanOrEqual(40);
  });
});

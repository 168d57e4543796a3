import { describe, expect, it } from 'vitest';
import type { Load } from '../../log/index.js';
import { patternOfKnown } from '../../partition/index.js';
import type { KnownSwitch, PartFacts } from '../../switch/index.js';
import { matchPattern, type Requirement } from '../match.js';
import type { DifferenceCode } from './difference.js';
import { differencesOf } from './differences.js';
import { ratingsOf } from './ratings.js';
import { STOPS_NOTHING, type Subject } from './subject.js';

type Position = KnownSwitch['positions'][number];
const hold = (...joined: string[][]): Position => ({ name: null, rests: 'maintained', joined });
const spring = (...joined: string[][]): Position => ({ name: null, rests: 'momentary', joined });

const part = (terminals: string, positions: Position[], facts?: PartFacts): KnownSwitch => ({
  ...{ id: 'x' as never, kind: 'part', name: 'a part', maker: null, family: '', form: 'rocker', note: null },
  ...{ terminals: terminals.split(' '), positions },
  ...(facts && { facts }),
});

const load = (kind: Load['kind'], amps: number, volts: number, current: Load['current'] = 'AC'): Load => ({
  ...{ id: 'l' as never, name: kind, kind, amps, volts, current, watts: null, removed: false },
});
const subject = (over: Partial<Subject> = {}): Subject => ({
  positions: [
    { rests: 'maintained', returnsTo: null },
    { rests: 'maintained', returnsTo: null },
  ],
  ...{
    loads: [],
    mostWires: 1,
    facts: {},
    brake: false,
    offLeftOut: false,
    startsAt: [],
    stopsAt: STOPS_NOTHING,
  },
  ...over,
});

/** An on-off of two poles: OFF, then both closed. */
const OLD = part('1 2 3 4', [hold(), hold(['1', '2'], ['3', '4'])]);
const requirement = (known: KnownSwitch): Requirement => ({
  pattern: patternOfKnown(known),
  terminals: known.terminals.map((_, at) => at),
  known: null,
});

/** Codes of what is told of a part, as it is laid on the old one. */
function codes(of: Subject, fresh: KnownSwitch, old = OLD, never: [number, number][] = []): DifferenceCode[] {
  const required = requirement(old);
  const fit = laid(required, fresh);
  return differencesOf(of, required, never, fresh, fit).map(({ code }) => code);
}
const like = (facts: PartFacts) => part('a b c d', [hold(), hold(['a', 'b'], ['c', 'd'])], facts);

describe('differences between the old one and a part', () => {
  it('are none where nothing differs and all is stated', () => {
    const facts: PartFacts = {
      ratings: [{ load: 'motor', amps: 6, volts: 250, supply: 'ac' }],
      ...{ disconnection: 'full', protection: 'IP54', wiresPerTerminal: 2, earthTerminal: true, keyOut: [0] },
    };
    const old = subject({
      ...{ loads: [load('motor', 5, 230)], mostWires: 2 },
      facts: { disconnection: 'full', protection: 'IP44', earthTerminal: true, keyOut: [0] },
    });
    expect(codes(old, like(facts))).toEqual([]);
  });

  const springing = subject({
    positions: [
      { rests: 'maintained', returnsTo: null },
      { rests: 'momentary', returnsTo: 0 },
    ],
  });
  it.each<[string, DifferenceCode, Subject, KnownSwitch]>([
    ['spring-return replaced by latching', 'spring-lost', springing, like({})],
    [
      'a spring where it stayed',
      'spring-gained',
      subject(),
      part('a b c d', [hold(), spring(['a', 'b'], ['c', 'd'])]),
    ],
    [
      'the positions reversed',
      'reversed',
      subject(),
      part('a b c d', [hold(['a', 'b'], ['c', 'd']), hold()]),
    ],
    [
      'OFF no longer at the end',
      'off-moved',
      subject(),
      part('a b c d', [hold(['a', 'c']), hold(), hold(['a', 'b'], ['c', 'd'])]),
    ],
    [
      'AC figures on DC',
      'ac-rating-on-dc',
      subject({ loads: [load('resistive', 2, 48, 'DC')] }),
      like({ marking: '16(4)A 250V~' }),
    ],
    [
      'a lower motor rating',
      'rating-lower',
      subject({ loads: [load('motor', 5, 230)] }),
      like({ marking: '16(4)A 250V~' }),
    ],
    [
      'a lower lamp rating',
      'rating-lower',
      subject({ loads: [load('lamp', 3, 230)] }),
      like({ ratings: [{ load: 'lamp', amps: 2, volts: 250, supply: 'ac' }] }),
    ],
    [
      'a lower voltage',
      'volts-lower',
      subject({ loads: [load('resistive', 1, 230)] }),
      like({ marking: '3A 125V~' }),
    ],
    [
      'a least load not reached',
      'minimum-not-reached',
      subject({ loads: [load('signal', 0.001, 5, 'DC')] }),
      like({ minimum: { volts: 12, milliamps: 100 } }),
    ],
    [
      'full disconnection down to micro',
      'disconnection-lower',
      subject({ facts: { disconnection: 'full' } }),
      like({ disconnection: 'micro' }),
    ],
    [
      'less protection',
      'protection-lower',
      subject({ facts: { protection: 'IP65' } }),
      like({ protection: 'IP64' }),
    ],
    [
      'direct opening lost',
      'direct-opening-lost',
      subject({ facts: { directOpening: true } }),
      like({ directOpening: false }),
    ],
    [
      'no-volt release lost',
      'no-volt-release-lost',
      subject({ facts: { noVoltRelease: true } }),
      like({ noVoltRelease: false }),
    ],
    [
      'the earth terminal lost',
      'earth-lost',
      subject({ facts: { earthTerminal: true } }),
      like({ earthTerminal: false }),
    ],
    [
      'the insulated shaft lost',
      'insulated-shaft-lost',
      subject({ facts: { insulatedShaft: true } }),
      like({ insulatedShaft: false }),
    ],
    ['the key lost', 'key-lost', subject({ facts: { keyOut: [0] } }), like({ keyOut: [1] })],
    [
      'two wires into a one-wire terminal',
      'two-wires-in-one',
      subject({ mostWires: 2 }),
      like({ wiresPerTerminal: 1 }),
    ],
    ['a brake to be shown', 'brake-to-be-shown', subject({ brake: true }), like({})],
  ])('%s is found, and is of safety', (_, code, old, fresh) => {
    const required = requirement(OLD);
    const fit = laid(required, fresh);
    const found = differencesOf(old, required, [], fresh, fit);
    expect(found).toContainEqual(expect.objectContaining({ code, gravity: 'safety' }));
    // Safety stands first.
    const grave = found.map(({ gravity }) => gravity);
    expect(grave).toEqual([...grave].sort((one, other) => ORDER.indexOf(one) - ORDER.indexOf(other)));
  });
  const ORDER = ['safety', 'difference', 'question'];

  it('what is not stated is a question, neither a pass nor a hazard', () => {
    const old = subject({
      ...{ loads: [load('motor', 5, 230), load('signal', 0.001, 5, 'DC')], mostWires: 2 },
      facts: { disconnection: 'full', protection: 'IP54', earthTerminal: true, keyOut: [0] },
    });
    const fit = laid(requirement(OLD), OLD);
    const found = differencesOf(old, requirement(OLD), [], OLD, fit);
    expect(found.map(({ gravity }) => gravity)).toEqual(new Array(found.length).fill('question'));
    expect(found.map(({ code }) => code).sort()).toEqual(
      [
        'disconnection-unknown',
        'earth-unknown',
        'key-unknown',
        'minimum-unknown',
        'protection-unknown',
        'rating-unknown',
        'wires-unknown',
      ].sort(),
    );
    // A large rating says nothing of a motor without a bracket, nor of a signal.
    expect(codes(subject({ loads: [load('motor', 5, 230)] }), like({ marking: '16A 250V~' }))).toEqual([
      'rating-unknown',
    ]);
    expect(
      codes(subject({ loads: [load('signal', 0.001, 5, 'DC')] }), like({ marking: '16A 250V~' })),
    ).toEqual(['minimum-unknown']);
  });

  it('a bracket is the motor’s figure (appliance switches, IEC 61058-1, from memory); more than enough is no better', () => {
    expect(ratingsOf({ marking: '16(4)A 250V~' })).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ load: 'motor', amps: 4, volts: 250, supply: 'ac' }) as unknown,
      ]),
    );
    expect(codes(subject({ loads: [load('motor', 4, 230)] }), like({ marking: '16(4)A 250V~' }))).toEqual([]);
    expect(codes(subject({ loads: [load('resistive', 2, 230)] }), like({ marking: '16(4)A 250V~' }))).toEqual(
      [],
    );
  });

  it('two supplies that meet in a spare position or in passing are found', () => {
    const two = part('1 2 3', [hold(['1', '3']), hold(['2', '3'])]);
    const never: [number, number][] = [[0, 1]];
    const of = (positions: Position[], facts?: PartFacts) =>
      codes(subject(), part('a b c', positions, facts), two, never);
    const plain = [hold(['a', 'c']), hold(['b', 'c'])];
    expect(of([...plain, hold(['a', 'b', 'c'])])).toContain('supplies-meet-in-spare');
    expect(of(plain, { makesBeforeBreaks: true })).toEqual(['supplies-meet-in-passing']);
    expect(of(plain)).toEqual(['in-passing-unknown']);
    expect(of(plain, { makesBeforeBreaks: false })).toEqual([]);
  });
});

function laid(required: Requirement, fresh: KnownSwitch) {
  const fit = matchPattern(required, patternOfKnown(fresh));
  if (!('terminals' in fit)) throw new Error(fit.kind);
  return fit;
}

describe('making before breaking', () => {
  /** 1 goes from 2 to 3. */
  const old = part('1 2 3', [hold(['1', '2']), hold(['1', '3'])]);
  const transformer: Load = { ...load('signal', 0.001, 1), make: 'current-transformer' };
  const says = (was: boolean, is: boolean | undefined, loads: Load[] = []) => {
    const facts = was ? { makesBeforeBreaks: true } : {};
    const fresh = part('1 2 3', old.positions, is === undefined ? undefined : { makesBeforeBreaks: is });
    const fit = laid(requirement(old), fresh);
    return differencesOf(subject({ facts, loads }), requirement(old), [], fresh, fit)
      .filter(({ code }) => code.startsWith('makes-'))
      .map(({ code, gravity }) => `${gravity} ${code}`);
  };

  it.each<[string, boolean, boolean | undefined, Load[], string[]]>([
    ['a shorting rotary for one that breaks first', true, false, [], ['difference makes-before-lost']],
    ['under a current transformer that is of safety', true, false, [transformer], ['safety makes-before-lost']],
    ['not stated', true, undefined, [], ['question makes-before-unknown']],
    ['the same', true, true, [], []],
    ['gained, and nobody probed the old one: the user is asked', false, true, [], ['question makes-before-old-unknown']],
    ['neither', false, false, [], []],
  ])('%s', (_, was, is, loads, expected) => expect(says(was, is, loads)).toEqual(expected)); // prettier-ignore

  it('a sprung START that would stay restarts by itself; where nothing goes over, which comes first is not asked', () => {
    const fresh = part('1 2 3 4', OLD.positions, { makesBeforeBreaks: true });
    const fit = laid(requirement(OLD), fresh);
    const [stays] = subject().positions;
    const positions = [stays as never, { rests: 'momentary' as const, returnsTo: 0 }];
    const found = (startsAt: number[]) =>
      differencesOf(subject({ positions, startsAt }), requirement(OLD), [], fresh, fit).map(
        ({ code }) => code,
      );
    expect(found([1])).toEqual(['spring-lost', 'restarts']);
    expect(found([])).toEqual(['spring-lost']);
  });
});

describe('ratings beyond a plain figure', () => {
  it('horsepower goes by the table, a designation by its standard, and a time constant only by a figure for as long a one', () => {
    const motor = load('motor', 8, 230);
    // 1 HP at 250 V AC: 8 A by NFPA 70, table 430.248 (from memory); 746 W over volts would say 3 A.
    expect(codes(subject({ loads: [motor] }), like({ marking: '1HP 250VAC' }))).toEqual([]);
    expect(codes(subject({ loads: [{ ...motor, amps: 9 }] }), like({ marking: '1HP 250VAC' }))).toEqual([
      'rating-lower',
    ]);
    expect(codes(subject({ loads: [{ ...motor, startAmps: 48 }] }), like({ marking: '1HP 250VAC' }))).toEqual(
      [],
    );
    expect(codes(subject({ loads: [{ ...motor, startAmps: 60 }] }), like({ marking: '1HP 250VAC' }))).toEqual(
      ['start-lower'],
    );
    // A600 breaks 3 A at 240 V (IEC 60947-5-1, table A.1, from memory).
    const coil = (amps: number) => subject({ loads: [load('motor', amps, 230)] });
    expect(codes(coil(3), like({ marking: 'A600' }))).toEqual([]);
    expect(codes(coil(4), like({ marking: 'A600' }))).toEqual(['rating-lower']);
    const slow = { ...load('motor', 1, 48, 'DC'), timeConstant: 100 };
    const rating = { load: 'inductive', amps: 2, volts: 50, supply: 'dc' } as const;
    const of = (timeConstant?: number) =>
      codes(
        subject({ loads: [slow] }),
        like({ ratings: [{ ...rating, ...(timeConstant && { timeConstant }) }] }),
      );
    expect(of()).toEqual(['rating-unknown']);
    expect(of(40)).toEqual(['rating-unknown']);
    expect(of(100)).toEqual([]);
  });

  it('two poles of the marking do not add up', () => {
    expect(codes(subject({ loads: [load('resistive', 30, 230)] }), like({ marking: '16A 250V~' }))).toEqual([
      'rating-lower',
    ]);
  });
});

import { describe, expect, it } from 'vitest';
import type { Load } from '../../log/index.js';
import { patternOfKnown } from '../../partition/index.js';
import type { KnownSwitch, PartFacts } from '../../switch/index.js';
import { matchPattern, type Requirement } from '../match.js';
import { nearMissesFor } from '../near-miss.js';
import { differencesOf } from './differences.js';
import { lossesOf } from './losses.js';
import { STOPS_NOTHING, type Subject } from './subject.js';

/** A switch as one writes it: positions apart by `|`, `~` before one that springs back to the first, joins by hyphens. */
function drawn(text: string, facts?: PartFacts): KnownSwitch {
  const positions = text.split('|').map((part) => {
    const joins = part.replace('~', '').trim();
    return {
      name: null,
      rests: part.includes('~') ? ('momentary' as const) : ('maintained' as const),
      joined: joins === '' ? [] : joins.split(' ').map((net) => net.split('-')),
    };
  });
  const terminals = [...new Set(text.match(/\w+/g) ?? [])].toSorted();
  return {
    ...{
      id: 'x' as never,
      kind: 'part',
      name: 'a part',
      maker: null,
      family: '',
      form: 'rotary',
      note: null,
    },
    ...{ terminals, positions, ...(facts && { facts }) },
  };
}

interface Old extends Partial<Omit<Subject, 'positions'>> {
  /** Wires that must never meet, by place. */
  never?: [number, number][];
  /** Places of positions of which nobody has said whether they spring back. */
  unsaid?: number[];
}

const load = (
  kind: Load['kind'],
  amps: number | null,
  volts: number | null,
  more: Partial<Load> = {},
): Load => ({
  ...{ id: 'l' as never, name: kind, kind, amps, volts, current: 'AC', watts: null, removed: false },
  ...more,
});

/** What is told of a candidate, in order; in brackets the gravity's first letter. What is ruled out: only what is lost. */
function told(old: string, of: Old, candidate: string, facts?: PartFacts): string {
  const was = drawn(old);
  const { never = [], unsaid = [], ...more } = of;
  const subject: Subject = {
    positions: was.positions.map(({ rests }, at) => ({
      rests: unsaid.includes(at) ? null : rests,
      returnsTo: rests === 'momentary' && !unsaid.includes(at) ? 0 : null,
    })),
    ...{
      loads: [],
      mostWires: 1,
      facts: {},
      brake: false,
      offLeftOut: false,
      startsAt: [],
      stopsAt: STOPS_NOTHING,
    },
    ...more,
  };
  const required: Requirement = {
    pattern: patternOfKnown(was),
    terminals: was.terminals.map((_, at) => at),
    known: null,
    never,
  };
  const fresh = drawn(candidate, facts);
  const result = matchPattern(required, patternOfKnown(fresh));
  const found =
    'terminals' in result
      ? differencesOf(subject, required, never, fresh, result)
      : lossesOf(subject, required, fresh, nearMissesFor(required)(patternOfKnown(fresh)));
  const ruledOut = 'terminals' in result ? '' : 'no: ';
  return (
    ruledOut +
    found.map(({ code, about, gravity }) => `${gravity[0]} ${code}${about ? ` ${about}` : ''}`).join(', ')
  );
}

const ON_OFF = ' | 1-2 3-4';
const SPRUNG = ' |~ 1-2 3-4';
const MOTOR = load('motor', 5, 230);
const RATED: PartFacts = { ratings: [{ load: 'motor', amps: 6, volts: 250, supply: 'ac' }] };
const SELECTOR = '1-2 | 1-3 | 1-4';
const TRIGGER = '3-4 |~ 1-2';

// What a master of the trade would list of a candidate, by hand (common practice), safety first; s safety, d difference, q question.
const PAIRS: [name: string, old: string, of: Old, candidate: string, facts: PartFacts | undefined, told: string][] = [
  // The wiring, and how it springs.
  ['the same again', ON_OFF, {}, ON_OFF, undefined, ''],
  ['the same with a contact to spare', ON_OFF, {}, ' | 1-2 3-4 5-6', undefined, ''],
  ['latching for a momentary push', SPRUNG, {}, ON_OFF, undefined, 's spring-lost 1'],
  ['momentary for a latching one', ON_OFF, {}, SPRUNG, undefined, 's spring-gained 1'],
  ['a START that would stay', SPRUNG, { startsAt: [1] }, ON_OFF, undefined, 's spring-lost 1, s restarts 1'],
  ['a START that springs back too', SPRUNG, { startsAt: [1] }, SPRUNG, undefined, ''],
  ['nobody said whether it springs back', ON_OFF, { unsaid: [0, 1] }, SPRUNG, undefined, 'q spring-unknown 0,1'],
  ['the positions the other way round', ON_OFF, {}, '1-2 3-4 | ', undefined, 's reversed'],
  ['OFF in the middle for OFF at the end', ON_OFF, {}, '1-3 | | 1-2 3-4', undefined, 's off-moved 0'],
  ['OFF was said not to matter', '1-2 | 1-3', { offLeftOut: true }, '1-2 | 1-3', undefined, 's off-lost'],
  // Stop, brake, kill.
  ['a trigger whose brake contact is missing', TRIGGER, { stopsAt: { ...STOPS_NOTHING, brake: [0] }, brake: true }, ' |~ 1-2', undefined, 'no: s brake-contact-lost 0'],
  ['the same with one that latches', TRIGGER, { stopsAt: { ...STOPS_NOTHING, brake: [0] }, brake: true }, ' | 1-2', undefined, 'no: s brake-contact-lost 0, s spring-lost 1'],
  ['a trigger with its brake contact', TRIGGER, { stopsAt: { ...STOPS_NOTHING, brake: [0] }, brake: true }, TRIGGER, undefined, 's brake-to-be-shown'],
  ['a key whose kill contact is missing', '3-4 | |~ 1-2', { stopsAt: { ...STOPS_NOTHING, kill: [0] } }, ' | |~ 1-2', undefined, 'no: s kill-lost 0'],
  ['a stop that no longer opens', ' | 1-2', { stopsAt: { ...STOPS_NOTHING, stop: [0] } }, '1-2', undefined, 'no: s stop-lost 0'],
  ['a no-volt release lost', ON_OFF, { facts: { noVoltRelease: true } }, ON_OFF, { noVoltRelease: false }, 's no-volt-release-lost'],
  ['a no-volt release not stated', ON_OFF, { facts: { noVoltRelease: true } }, ON_OFF, undefined, 'q no-volt-release-unknown no-volt-release-lost'],
  ['ruled out by its wiring, its no-volt release lost all the same', ON_OFF, { facts: { noVoltRelease: true } }, ' | 1-2', { noVoltRelease: false }, 'no: s no-volt-release-lost'],
  ['ruled out by its wiring, a sprung START that stays', SPRUNG, { startsAt: [1] }, ' | 1-2', undefined, 'no: s spring-lost 1, s restarts 1'],
  ['silver for gold', ON_OFF, { facts: { contacts: 'gold' } }, ON_OFF, { contacts: 'silver' }, 'd gold-lost'],
  ['gold for gold', ON_OFF, { facts: { contacts: 'gold' } }, ON_OFF, { contacts: 'gold' }, ''],
  ['gold, and nothing stated', ON_OFF, { facts: { contacts: 'gold' } }, ON_OFF, undefined, 'q gold-unknown'],
  ['direct opening lost', ON_OFF, { facts: { directOpening: true } }, ON_OFF, { directOpening: false }, 's direct-opening-lost'],
  // Between two positions.
  ['shorting for shorting', SELECTOR, { facts: { makesBeforeBreaks: true } }, SELECTOR, { makesBeforeBreaks: true }, ''],
  ['non-shorting for shorting', SELECTOR, { facts: { makesBeforeBreaks: true } }, SELECTOR, { makesBeforeBreaks: false }, 'd makes-before-lost'],
  ['the same over a current transformer', SELECTOR, { facts: { makesBeforeBreaks: true }, loads: [load('signal', 0.1, 1, { make: 'current-transformer' })] }, SELECTOR, { makesBeforeBreaks: false, minimum: { volts: 0.1, milliamps: 1 } }, 's makes-before-lost'],
  ['shorting, and nobody probed the old one', SELECTOR, {}, SELECTOR, { makesBeforeBreaks: true }, 'q makes-before-old-unknown'],
  ['two supplies on the throws, shorting', '1-3 | 2-3', { never: [[0, 1]] }, '1-3 | 2-3', { makesBeforeBreaks: true }, 's supplies-meet-in-passing'],
  ['two supplies on the throws, not stated', '1-3 | 2-3', { never: [[0, 1]] }, '1-3 | 2-3', undefined, 'q in-passing-unknown'],
  ['two supplies meet in a position to spare', '1-3 | 2-3', { never: [[0, 1]] }, '1-3 | 2-3 | 1-2-3', { makesBeforeBreaks: false }, 's supplies-meet-in-spare 2'],
  // What it carries.
  ['rated for such a motor', ON_OFF, { loads: [MOTOR] }, ON_OFF, RATED, ''],
  ['rated for less', ON_OFF, { loads: [load('motor', 8, 230)] }, ON_OFF, RATED, 's rating-lower motor'],
  ['resistive amps alone stated, for a motor', ON_OFF, { loads: [MOTOR] }, ON_OFF, { marking: '16A 250V~' }, 'q rating-unknown motor'],
  ['AC figures on DC', ON_OFF, { loads: [load('resistive', 2, 48, { current: 'DC' })] }, ON_OFF, { marking: '16(4)A 250V~' }, 's ac-rating-on-dc resistive, q rating-unknown resistive'],
  ['a lower voltage', ON_OFF, { loads: [load('resistive', 1, 230)] }, ON_OFF, { marking: '3A 125V~' }, 's volts-lower resistive'],
  ['its first moment is more than it may close onto', ON_OFF, { loads: [load('motor', 5, 230, { startAmps: 60 })] }, ON_OFF, RATED, 's start-lower motor'],
  ['what the load takes is not said: the user is asked, not the seller', ON_OFF, { loads: [load('motor', null, 230)] }, ON_OFF, RATED, 'q load-unsaid motor'],
  ['a signal less than its contacts need', ON_OFF, { loads: [load('signal', 0.001, 5)] }, ON_OFF, { minimum: { volts: 12, milliamps: 100 } }, 's minimum-not-reached signal'],
  ['a signal, and no least load stated', ON_OFF, { loads: [load('signal', 0.001, 5)] }, ON_OFF, { marking: '16A 250V~' }, 'q minimum-unknown signal'],
  ['a small coil on contacts for large loads', ON_OFF, { loads: [load('resistive', 0.005, 24)] }, ON_OFF, { marking: '16A 250V~', minimum: { volts: 12, milliamps: 100 } }, 's minimum-not-reached resistive'],
  ['a signal on gold', ON_OFF, { loads: [load('signal', 0.001, 5)] }, ON_OFF, { contacts: 'gold' }, ''],
  ['a signal on silver, and no least load stated', ON_OFF, { loads: [load('signal', 0.001, 5)] }, ON_OFF, { contacts: 'silver' }, 'q minimum-unknown signal'],
  ['a lamp on gold', ON_OFF, { loads: [load('lamp', 2, 12)] }, ON_OFF, { contacts: 'gold' }, 's gold-burns-off lamp, q rating-unknown lamp'],
  ['a load on gold that is rated for it', ON_OFF, { loads: [load('resistive', 1, 24)] }, ON_OFF, { contacts: 'gold', marking: '3A 125V~' }, ''],
  ['what a load on gold takes is not said', ON_OFF, { loads: [load('lamp', null, 12)] }, ON_OFF, { contacts: 'gold' }, 'q load-unsaid lamp'],
  // How it is made.
  ['full disconnection down to micro', ON_OFF, { facts: { disconnection: 'full' } }, ON_OFF, { disconnection: 'micro' }, 's disconnection-lower'],
  ['the key comes out elsewhere', ON_OFF, { facts: { keyOut: [0] } }, ON_OFF, { keyOut: [1] }, 's key-lost'],
  ['an earth terminal lost, two wires into one', ON_OFF, { facts: { earthTerminal: true }, mostWires: 2 }, ON_OFF, { earthTerminal: false, wiresPerTerminal: 1 }, 's earth-lost, s two-wires-in-one'],
  ['everything at once: what springs first, then what it carries, then what is asked', SPRUNG, { startsAt: [1], loads: [load('motor', 8, 230)], facts: { noVoltRelease: true, protection: 'IP54' }, mostWires: 2 }, ON_OFF, { ...RATED, noVoltRelease: false }, 's spring-lost 1, s restarts 1, s rating-lower motor, s no-volt-release-lost, q protection-unknown, q wires-unknown'],
]; // prettier-ignore

describe('pairs of an old switch and a candidate', () => {
  it('are forty and more', () => expect(PAIRS.length).toBeGreaterThanOrEqual(40));

  it.each(PAIRS)('%s', (_, old, of, candidate, facts, says) => {
    expect(told(old, of, candidate, facts)).toBe(says);
  });
});

import { describe, expect, it } from 'vitest';
import type { Load } from '../../log/index.js';
import { patternOfKnown } from '../../partition/index.js';
import { randomPart } from '../../testing/wire-demands.js';
import { seededRandom, shuffled, type KnownSwitch, type PartFacts } from '../../switch/index.js';
import { runs } from '../../testing/runs.js';
import { matcherFor, type Requirement } from '../match.js';
import { PLAIN_RULES } from '../fit/fit.js';
import type { DifferenceCode } from './difference.js';
import { againstLaying, differencesOf } from './differences.js';
import { STOPS_NOTHING, type Subject } from './subject.js';

/** An old switch with a part that is the same in all that is compared. */
interface Pair {
  required: Requirement;
  subject: Subject;
  part: KnownSwitch;
  never: [number, number][];
}

const load = (kind: Load['kind'], amps: number, volts: number, current: Load['current']): Load => ({
  ...{ id: 'l' as never, name: kind, kind, amps, volts, current, watts: null, removed: false },
});

const FACTS: PartFacts = {
  ratings: [
    { load: 'motor', amps: 6, volts: 250, supply: 'ac' },
    { load: 'lamp', amps: 3, volts: 250, supply: 'ac' },
    { load: 'resistive', amps: 10, volts: 60, supply: 'dc' },
  ],
  minimum: { volts: 1, milliamps: 0.1 },
  ...{ disconnection: 'full', protection: 'IP65', makesBeforeBreaks: false, directOpening: true },
  ...{ noVoltRelease: true, keyOut: [0], earthTerminal: true, insulatedShaft: true, wiresPerTerminal: 2 },
};

/** A random switch with OFF first, its second position springing back, and a part of other names that is the same. */
function pairOf(seed: number): Pair {
  const random = seededRandom(seed);
  const size = 4 + Math.floor(random() * 3);
  const places = Array.from({ length: size }, (_, place) => place);
  // No two positions alike, and not the same both ways round: then there is one way to lay it.
  const some = randomPart(random, size, 2 + Math.floor(random() * 2));
  const pattern = [places, ...some, [...places].fill(0)];
  const names = shuffled(
    places.map((place) => `t${place}`),
    random,
  );
  const rests = pattern.map((_, at) => (at === 1 ? ('momentary' as const) : ('maintained' as const)));
  const part: KnownSwitch = {
    ...{
      id: 'x' as never,
      kind: 'part',
      name: 'a part',
      maker: null,
      family: '',
      form: 'rotary',
      note: null,
    },
    terminals: [...names].sort(),
    positions: pattern.map((nets, at) => ({
      ...{ name: null, rests: rests[at] ?? 'maintained' },
      joined: [...new Set(nets)]
        .map((root) => places.filter((place) => nets[place] === root).map((place) => names[place] as string))
        .filter((group) => group.length > 1),
    })),
    facts: FACTS,
  };
  return {
    ...{ part, never: [] },
    required: { pattern, terminals: places, known: null, never: [] },
    subject: {
      positions: rests.map((one) => ({ rests: one, returnsTo: one === 'momentary' ? 0 : null })),
      loads: [
        load('motor', 5, 230, 'AC'),
        load('lamp', 2, 230, 'AC'),
        load('resistive', 4, 48, 'DC'),
        load('signal', 0.001, 5, 'DC'),
      ],
      ...{ mostWires: 2, brake: false, offLeftOut: false, startsAt: [], stopsAt: STOPS_NOTHING },
      facts: {
        ...{ disconnection: 'full', protection: 'IP54', directOpening: true, noVoltRelease: true },
        ...{ keyOut: [0], earthTerminal: true, insulatedShaft: true },
      },
    },
  };
}

function found({ required, subject, part, never }: Pair): DifferenceCode[] {
  const gravely = (fit: Parameters<typeof differencesOf>[4]) =>
    againstLaying(differencesOf(subject, required, never, part, fit));
  const fit = matcherFor({ ...required, never }, { ...PLAIN_RULES, jumpers: 1 })(
    patternOfKnown(part),
    undefined,
    gravely,
  );
  if (!('terminals' in fit)) throw new Error(fit.kind);
  return differencesOf(subject, required, never, part, fit)
    .filter(({ gravity }) => gravity === 'safety')
    .map(({ code }) => code);
}

const withFacts = (pair: Pair, facts: PartFacts): Pair => ({
  ...pair,
  part: { ...pair.part, facts: { ...FACTS, ...facts } },
});
const withRating = (pair: Pair, at: number, change: object): Pair =>
  withFacts(pair, {
    ratings: (FACTS.ratings ?? []).map((one, place) => (place === at ? { ...one, ...change } : one)),
  });
/** The part with another position behind its last. */
const withSpare = (pair: Pair): Pair => {
  const [one, two] = [pair.part.terminals[0] ?? '', pair.part.terminals.at(-1) ?? ''];
  const position = {
    name: 'spare',
    rests: 'maintained' as const,
    joined: [[one, two, ...pair.part.terminals.slice(1, -1)]],
  };
  return { ...pair, part: { ...pair.part, positions: [...pair.part.positions, position] } };
};
/** All joined at last is what no two supplies bear: the requirement without that position. */
const withoutLast = (pair: Pair): Pair => ({
  ...pair,
  required: { ...pair.required, pattern: pair.required.pattern.slice(0, -1) },
  subject: { ...pair.subject, positions: pair.subject.positions.slice(0, -1) },
  part: { ...pair.part, positions: pair.part.positions.slice(0, -1) },
});
const momentary = (pair: Pair, rests: 'maintained' | 'momentary', at: number): Pair => ({
  ...pair,
  part: {
    ...pair.part,
    positions: pair.part.positions.map((one, place) => (place === at ? { ...one, rests } : one)),
  },
});

/** Each thing that a match must never hide, put into a pair that has none. */
const ITEMS: [string, DifferenceCode, (pair: Pair) => Pair][] = [
  ['spring-return replaced by latching', 'spring-lost', (pair) => momentary(pair, 'maintained', 1)],
  ['a spring where it stayed', 'spring-gained', (pair) => momentary(pair, 'momentary', 2)],
  [
    'a brake contact to be shown',
    'brake-to-be-shown',
    (pair) => ({ ...pair, subject: { ...pair.subject, brake: true } }),
  ],
  ['OFF lost', 'off-lost', (pair) => ({ ...pair, subject: { ...pair.subject, offLeftOut: true } })],
  [
    'a pole that is not broken any more',
    'break-lost',
    (pair) => {
      const size = pair.required.terminals.length;
      const free = new Uint32Array(size * size);
      free[1] = free[size] = 1;
      const names = pair.part.terminals;
      const place = (terminal: number) => names.indexOf(nameOf(pair, terminal));
      const [off, ...others] = pair.part.positions;
      const joined = [[names[place(0)] ?? '', names[place(1)] ?? '']];
      return {
        ...pair,
        required: { ...pair.required, free },
        part: { ...pair.part, positions: [{ ...(off as NonNullable<typeof off>), joined }, ...others] },
      };
    },
  ],
  ['AC figures on DC', 'ac-rating-on-dc', (pair) => withRating(pair, 2, { supply: 'ac' })],
  ['a lower motor rating', 'rating-lower', (pair) => withRating(pair, 0, { amps: 4 })],
  ['a lower lamp rating', 'rating-lower', (pair) => withRating(pair, 1, { amps: 1 })],
  ['a lower voltage', 'volts-lower', (pair) => withRating(pair, 0, { volts: 125 })],
  [
    'paralleled poles that were to add up',
    'rating-lower',
    (pair) =>
      withFacts(pair, {
        // Two poles of half the current each.
        ratings: [
          ...(FACTS.ratings ?? []),
          { load: 'motor' as const, amps: 6, volts: 250, supply: 'ac' as const },
        ].map((one) => (one.load === 'motor' ? { ...one, amps: 3 } : one)),
      }),
  ],
  ['key lost', 'key-lost', (pair) => withFacts(pair, { keyOut: [1] })],
  ['protection lower', 'protection-lower', (pair) => withFacts(pair, { protection: 'IP40' })],
  [
    'full disconnection down to micro',
    'disconnection-lower',
    (pair) => withFacts(pair, { disconnection: 'micro' }),
  ],
  [
    'full disconnection down to electronic',
    'disconnection-lower',
    (pair) => withFacts(pair, { disconnection: 'electronic' }),
  ],
  ['direct opening lost', 'direct-opening-lost', (pair) => withFacts(pair, { directOpening: false })],
  ['no-volt release lost', 'no-volt-release-lost', (pair) => withFacts(pair, { noVoltRelease: false })],
  ['earth terminal lost', 'earth-lost', (pair) => withFacts(pair, { earthTerminal: false })],
  ['insulated shaft lost', 'insulated-shaft-lost', (pair) => withFacts(pair, { insulatedShaft: false })],
  [
    'two wires into a one-wire terminal',
    'two-wires-in-one',
    (pair) => withFacts(pair, { wiresPerTerminal: 1 }),
  ],
  [
    'minimum load not reached',
    'minimum-not-reached',
    (pair) => withFacts(pair, { minimum: { volts: 12, milliamps: 100 } }),
  ],
  [
    'direction reversed',
    'reversed',
    (pair) => ({ ...pair, part: { ...pair.part, positions: pair.part.positions.toReversed() } }),
  ],
  [
    'two supplies that meet in a spare position',
    'supplies-meet-in-spare',
    (pair) => ({ ...withSpare(withoutLast(apart(pair))), never: [[0, 1]] }),
  ],
  [
    'two supplies that meet in passing',
    'supplies-meet-in-passing',
    (pair) => {
      // First to one, then to the other: joined for a moment where the next makes before the last breaks.
      const two = withFacts(withoutLast(apart(pair)), { makesBeforeBreaks: true });
      return { ...two, never: [[0, 1]] };
    },
  ],
];

/** The name that the part has for a terminal: by where the part joins as the old one does. */
function nameOf({ part, required }: Pair, terminal: number): string {
  const nets = patternOfKnown(part);
  const fit = matcherFor(required)(nets);
  if (!('terminals' in fit)) throw new Error(fit.kind);
  return part.terminals[fit.terminals.find(({ from }) => from === terminal)?.to ?? 0] as string;
}

/** Terminal 2 goes from 0 to 1, and those two never meet. */
function apart(pair: Pair): Pair {
  const names = pair.part.terminals;
  const rest = names.slice(3).map((_, at) => at + 3);
  const of = (joined: number[]) => {
    const nets = [0, 1, 2, ...rest];
    const [a, b] = joined;
    if (a !== undefined && b !== undefined) nets[Math.max(a, b)] = Math.min(a, b);
    return nets;
  };
  const joins = [[], [0, 2], [1, 2], []];
  return {
    ...pair,
    required: { ...pair.required, pattern: joins.map(of) },
    subject: { ...pair.subject, positions: pair.subject.positions.slice(0, 4) },
    part: {
      ...pair.part,
      positions: joins.map((joined, at) => ({
        ...{ name: null, rests: at === 1 ? ('momentary' as const) : ('maintained' as const) },
        joined: joined.length > 0 ? [joined.map((place) => names[place] as string)] : [],
      })),
    },
  };
}

describe('what a match must never hide, in generated pairs', () => {
  it('nothing is reported where there is nothing', () => {
    for (let seed = 1; seed <= runs(60); seed += 1) expect([seed, found(pairOf(seed))]).toEqual([seed, []]);
  });

  it.each(ITEMS)('%s is found in every pair that has it', (_, code, put) => {
    let looked = 0;
    for (let seed = 1; seed <= runs(30); seed += 1) {
      const pair = put(pairOf(seed));
      looked += 1;
      expect([seed, found(pair)]).toEqual([seed, expect.arrayContaining([code]) as unknown]);
    }
    expect(looked).toBe(runs(30));
  });
});

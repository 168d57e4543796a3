import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isomorphism, poles, relabel, type Pattern } from '../partition/index.js';
import { anyPattern } from '../testing/generated.js';
import { runs } from '../testing/runs.js';
import { writtenPattern as pattern } from '../testing/written-pattern.js';
import {
  exampleKinds,
  FAMILIES,
  isWhole,
  kindsOf,
  poleKind,
  wholeIn,
  type Kind,
  type PoleKind,
} from './index.js';

const all = (size: number) => Array.from({ length: size }, (_, place) => place);
const kindOf = (text: string): PoleKind => {
  const given = pattern(text);
  return poleKind(given, all(given[0]?.length ?? 0));
};
const wholeOf = (text: string) => {
  const given = pattern(text);
  return (
    wholeIn(
      given,
      poles(given).filter((pole) => pole.length > 1),
    )?.kind ?? null
  );
};
const shuffledBy = (size: number, keys: readonly number[]) =>
  all(size).sort((a, b) => (keys[a] ?? 0) - (keys[b] ?? 0) || a - b);

describe('kinds of poles, by published tables and common practice', () => {
  it.each<[string, string, PoleKind]>([
    ['one contact', '- | ab', { kind: 'contact', closed: [1] }],
    ['two-way lighting: a changeover', 'ab | ac', { kind: 'changeover', centreOff: false }],
    ['a changeover with centre off', 'ab | - | ac', { kind: 'changeover', centreOff: true }],
    ['intermediate lighting: straight and crossed', 'ab cd | ad bc', { kind: 'crossing', off: false }],
    ['reversing with an off', 'ab cd | - | ad bc', { kind: 'crossing', off: true }],
    ['a selector', 'ab | ac | ad | ae', { kind: 'selector', ways: 4, offs: 0 }],
    ['a selector with off', '- | ab | ac | ad', { kind: 'selector', ways: 3, offs: 1 }],
    ['bridging: between two ways both', 'ab | abc | ac | acd | ad', { kind: 'bridging', ways: 3 }],
    [
      'progressive: one more each time',
      '- | ab | abc | abcd',
      { kind: 'progressive', ways: 3, fromFirst: false },
    ],
    ['one missing', 'acd | abd | abc', { kind: 'one-missing', ways: 3 }],
    // Binary: bits of 0 to 3; Gray: 0, 1, 3, 2 (reflected binary code).
    ['binary', '- | ab | ac | abc', { kind: 'coded', code: 'binary', bits: 2 }],
    ['Gray', '- | ab | abc | ac', { kind: 'coded', code: 'gray', bits: 2 }],
    ['complement of binary', 'abc | ac | ab | -', { kind: 'coded', code: 'complement', bits: 2 }],
    ['no named kind', 'ab | ac bd | cd', { kind: 'cam' }],
  ])('%s', (_, text, kind) => expect(kindOf(text)).toEqual(kind));

  it.each([
    // Lines a b c to windings d e f and their ends g h i: off, star, delta (terminal marking of IEC 60034-8, from memory).
    ['star and delta', '- | ad be cf ghi | adi beg cfh', 'star-delta'],
    // Two elements c to d and d to e between a and b: in series, one, both side by side (common practice).
    ['three heats', '- | ac be | ac bd | ace bd', 'three-heat'],
    ['three heats, the poles changed over', '- | ac be | ac bd | ad bce', 'three-heat'],
    // Three elements c to d, d to e, e to f: all in a row, two, one, two and three side by side (from memory; watts by Ohm's law).
    ['three elements', '- | ac bf | ac be | ac bd | ace bd | ace bdf', 'three-elements'],
    // Feed a, lamp b at every programme, top c, bottom d, grill e (common practice, from memory).
    ['oven', '- | ab | abcd | abd | abc | abe', 'oven-programme'],
    ['reversing, three lines', 'ad be cf | - | ae bd cf', 'reversing-three-phase'],
    ['nothing more than its poles', 'ab | ac', null],
  ])('%s', (_, text, whole) => expect(wholeOf(text)).toBe(whole));
});

/** Every kind of a family up to so many terminals and settings. */
const EVERY: Kind[] = Array.from({ length: 15 }, (_, size) => size + 2).flatMap((terminals) =>
  Array.from({ length: 15 }, (_, at) => at + 2).flatMap((settings) => kindsOf(terminals, settings)),
);

/** The name of the shape of a pole, or of what all poles are together. */
function named(given: Pattern): string {
  const all = poles(given).filter((pole) => pole.length > 1);
  const whole = wholeIn(given, all);
  if (whole && whole.extra.length === 0) return `whole ${whole.kind}`;
  return [...new Set(all.map((pole) => JSON.stringify(poleKind(given, pole))))].join(' and ');
}

/** Kinds of one pattern: whichever name is told is right. */
const EQUAL: Record<string, string> = {
  // A motor P M A B turned over with an off between is the crossing of a pole.
  'crossing-off': 'whole reversing',
};

describe('every kind of the table', () => {
  it('has a family, a source and an example, and its code once', () => {
    const codes = FAMILIES.flatMap((family) => family.codes);
    expect(new Set(codes).size).toBe(codes.length);
    expect(FAMILIES.every(({ source }) => source.length > 10)).toBe(true);
    expect(
      exampleKinds()
        .map(({ kind }) => kind)
        .toSorted(),
    ).toEqual(codes.toSorted());
    expect(EVERY.length).toBeGreaterThan(200);
  });

  it('keeps its name when its terminals are shuffled, and has one', () => {
    for (const kind of exampleKinds()) expect(named(kind.pattern)).not.toContain('"cam"');
    fc.assert(
      fc.property(
        fc.constantFrom(...EVERY),
        fc.array(fc.nat(), { minLength: 16, maxLength: 16 }),
        (kind, keys) => {
          const size = kind.pattern[0]?.length ?? 0;
          const moved = relabel(kind.pattern, shuffledBy(size, keys));
          const name = named(moved);
          expect(name).toBe(named(kind.pattern));
          expect(name).not.toContain('"cam"');
          if (isWhole(kind)) expect(name).toBe(`whole ${kind.kind}`);
          else if (kind.poles === 1 && EQUAL[kind.kind]) expect(name).toBe(EQUAL[kind.kind]);
        },
      ),
      { numRuns: runs(400) },
    );
  });

  it('keeps its name beside an auxiliary contact', () => {
    const motor = pattern('ac bd ef | - | ad bc');
    const found = wholeIn(motor, poles(motor).filter((pole) => pole.length > 1)); // prettier-ignore
    expect(found).toMatchObject({ kind: 'reversing', extra: [1] });
  });

  it('gives no name to patterns of no kind', () => {
    const seeded = fc.sample(
      fc
        .tuple(anyPattern(8, 5), fc.nat())
        .filter(([given]) => given.length >= 4 && (given[0]?.length ?? 0) >= 6),
      { numRuns: 500, seed: 31 },
    );
    const wholes = seeded.filter(([given]) => wholeIn(given, poles(given).filter((pole) => pole.length > 1))); // prettier-ignore
    expect(seeded).toHaveLength(500);
    expect(wholes).toEqual([]);
  });
});

describe('two patterns that are the same up to names', () => {
  it('are found to be, by places that make one the other', () => {
    fc.assert(
      fc.property(anyPattern(7, 3), fc.array(fc.nat(), { minLength: 7, maxLength: 7 }), (given, keys) => {
        const size = given[0]?.length ?? 0;
        const order = shuffledBy(size, keys);
        const to = isomorphism(given, relabel(given, order));
        expect(to).not.toBeNull();
        expect(relabel(given, to ?? [])).toEqual(relabel(given, order));
      }),
      { numRuns: runs(150) },
    );
    expect(isomorphism(pattern('ab | ac'), pattern('ab | ab | c'))).toBeNull();
    expect(isomorphism(pattern('ab | cd'), pattern('ab | abcd'))).toBeNull();
  });
});

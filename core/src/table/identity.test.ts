import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { deriveMap } from '../continuity/index.js';
import { kindsOf } from '../kinds/index.js';
import { partitionFromGroups } from '../partition/index.js';
import { bench, CLOSED, mapHidden, OPEN, switchLikePattern } from '../testing/generated.js';
import { runs } from '../testing/runs.js';
import { writtenPattern as pattern } from '../testing/written-pattern.js';
import { polesWithContacts } from './contacts.js';
import { identify } from './identity.js';
import { movingContacts } from './moving-contacts.js';
import { oddities } from './odd.js';

const all = (size: number) => Array.from({ length: size }, (_, place) => place);

describe('moving contacts', () => {
  it('of a pole that shares a throw are all named, and it stays one pole', () => {
    // g goes to f or h, b to c or f: they share f.
    const given = pattern('fg bc | bc | gh bf');
    const [pole] = polesWithContacts(given);
    const letter = (place: number) => 'bcfgh'.charAt(place);
    const moving = movingContacts(given, pole as NonNullable<typeof pole>);
    expect(
      moving.map(
        ({ common, on }) =>
          `${letter(common)}: ${on.map((ends) => ends.map(letter).join('') || '-').join(' ')}`,
      ),
    ).toEqual(['b: c c f', 'g: f - h']);
  });

  it('cover every contact, each once', () => {
    fc.assert(
      fc.property(switchLikePattern(7, 3), (given) => {
        for (const pole of polesWithContacts(given)) {
          const moving = movingContacts(given, pole);
          const told = moving.flatMap(({ common, throws }) =>
            throws.map((end) => [common, end].sort((a, b) => a - b).join()),
          );
          expect(told.toSorted()).toEqual(pole.contacts.map(String).toSorted());
        }
      }),
      { numRuns: runs(150) },
    );
  });
});

describe('what is odd about a pattern', () => {
  const odd = (
    text: string,
    { rests, free = [] as number[] }: { rests?: boolean[]; free?: number[] } = {},
  ) => {
    const given = pattern(text);
    const size = given[0]?.length ?? 0;
    return oddities(given, {
      contacts: all(size),
      rests: rests ?? given.map(() => true),
      mayBeFree: new Set(free),
    });
  };

  it.each([
    'ab | ac',
    'ab | - | ac',
    'ab | abc | ac',
    '- | ab | abc | abcd',
    'acd | abd | abc',
    'ab cd | ad bc',
    '- | ad be cf ghi | adi beg cfh',
    '- | ac be | ac bd | ace bd',
    'ab de | ac df',
  ])('nothing about %s', (text) => expect(odd(text)).toEqual([]));

  it('asks for a bridged changeover where it rests, not where it is held', () => {
    expect(odd('ab | abc')).toContainEqual({ code: 'both-closed', terminals: [0, 1, 2], setting: 1 });
    // Three at once are asked for too, and two positions alike where only one of the poles is a single contact.
    expect(odd('ab | abcd | ac | ad').map(({ code }) => code)).toContain('both-closed');
    expect(odd('ab de | ac | ab de').map(({ code }) => code)).toContain('alike');
    expect(odd('ab | abc', { rests: [true, false] }).map(({ code }) => code)).not.toContain('both-closed');
  });

  it('finds what is always closed, what joins nothing and settings that are alike', () => {
    expect(odd('ab cd | ab ce').map(({ code }) => code)).toContain('always-closed');
    expect(odd('ab | ac | ab | ad | c').map(({ code }) => code)).toContain('alike');
    const free = pattern('ab | ac');
    const wide = free.map((partition) => [...partition, 3]);
    const context = { contacts: [0, 1, 2, 3], rests: [true, true] };
    expect(oddities(wide, { ...context, mayBeFree: new Set() })).toEqual([
      { code: 'joins-nothing', terminals: [3] },
    ]);
    expect(oddities(wide, { ...context, mayBeFree: new Set([3]) })).toEqual([]);
  });

  it('finds one cell that was taken from an ordinary switch of two poles or more, or added to it', () => {
    const kinds = [3, 4, 5].flatMap((settings) =>
      [6, 8, 9, 10, 12].flatMap((terminals) =>
        kindsOf(terminals, settings).filter(
          ({ kind, poles, ways }) => kind === 'selector' && poles >= 2 && ways >= 3,
        ),
      ),
    );
    expect(kinds.length).toBeGreaterThan(3);
    fc.assert(
      fc.property(fc.constantFrom(...kinds), fc.nat(), fc.nat(), fc.boolean(), (kind, pole, way, short) => {
        const width = kind.ways + 1;
        const common = (pole % kind.poles) * width;
        const at = way % kind.ways;
        const end = common + 1 + (short ? at : (at + 1) % kind.ways);
        const setting = at;
        const changed = kind.pattern.map((partition, place) => {
          if (place !== setting) return partition;
          const groups = Array.from({ length: kind.poles }, (_, one) => {
            const own = one * width === common;
            const net = [one * width, one * width + 1 + setting];
            return own ? (short ? [common] : [...net, end]) : net;
          });
          return partitionFromGroups(partition.length, groups);
        });
        const found = oddities(changed, {
          contacts: all(changed[0]?.length ?? 0),
          rests: changed.map(() => true),
          mayBeFree: new Set(),
        });
        expect(found).toContainEqual(
          expect.objectContaining({
            code: short ? 'cell-short' : 'cell-beyond',
            terminals: [common, end],
            setting,
          }),
        );
      }),
      { numRuns: 200 },
    );
  });
});

describe('what a switch is', () => {
  it('is named with its poles, and its free terminals', () => {
    const on = bench(8, 3);
    const hidden = pattern('ab ef | ac eg | ad eh').map((partition) => [...partition]);
    expect(identify(mapHidden(hidden, on).map)).toMatchObject({
      unknown: [],
      groups: [
        {
          kind: { kind: 'selector', ways: 3, offs: 0 },
          poles: [{ common: on.terminals[0] }, { common: on.terminals[4] }],
        },
      ],
    });
  });

  it('has no name while a cell is unknown or in dispute', () => {
    const on = bench(3, 2);
    on.read(0, 0, 1, CLOSED);
    on.read(0, 0, 2, OPEN);
    on.read(1, 0, 2, CLOSED);
    const so = identify(deriveMap(on.events));
    expect(so).toMatchObject({ groups: [], whole: null, unknown: [{ setting: on.settings[1], pairs: 2 }] });
    on.read(1, 0, 1, OPEN);
    expect(identify(deriveMap(on.events)).groups).toMatchObject([{ kind: { kind: 'changeover' } }]);
    on.read(1, 1, 2, CLOSED);
    const disputed = identify(deriveMap(on.events));
    expect(disputed.disputed).toBeGreaterThan(0);
    expect(disputed.groups).toEqual([]);
  });
});

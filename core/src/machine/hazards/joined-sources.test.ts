import { describe, expect, it } from 'vitest';
import { drawnHazards } from '../../testing/drawn-hazards.js';
import type { Drawn } from '../wiring/drawn.js';

type Source = Drawn['supplies'][string];
const dc = (kind: '+' | '0', volts: number | null): Source => ({ kind, volts, current: 'DC' });
const ac = (kind: 'L' | 'L1' | 'L2' | 'N', volts: number | null): Source => ({ kind, volts, current: 'AC' });

/** Two sources on lugs 1 and 3, a lamp on lug 2, in settings such as `1-2`, in handle order; what is said of the sources. */
function hazards(
  house: Source,
  engine: Source,
  settings: string[],
  makesBefore: boolean | null = false,
  more: Pick<Drawn, 'sources'> & { supplies?: Drawn['supplies'] } = {},
) {
  const { current } = house;
  const drawn: Drawn = {
    terminals: '1 2 3',
    supplies: {
      house,
      engine,
      back: current === 'DC' ? dc('0', null) : ac('N', null),
      ...more.supplies,
    },
    ...(more.sources && { sources: more.sources }),
    loads: { lamp: { volts: null, current } },
    wires: '1>house 3>engine 2>lamp.1 lamp.2>back',
  };
  const found = drawnHazards(drawn, settings, makesBefore).filter(
    (one) => 'supplies' in one && !('loads' in one),
  );
  return found.map((one) =>
    [
      ...('how' in one ? [one.how] : [one.kind]),
      ...('certain' in one ? [one.certain ? 'certain' : 'not known'] : []),
      ...('seen' in one && one.seen ? ['seen'] : []),
      ...('supplies' in one ? one.supplies.toSorted() : []),
    ].join(' '),
  );
}

/** By hand: two live potentials of one kind are never 'no hazard'; which hazard, only a person can say (common practice). */
const BOTH: [string, Source, Source, string[]][] = [
  ['two batteries of 12 V', dc('+', 12), dc('+', 12), ['not-said not known engine house']],
  ['two of which one is charged: 12.6 and 13.2 V', dc('+', 12.6), dc('+', 13.2), ['not-said not known engine house']], // prettier-ignore
  ['a battery of 12 V on one of 24 V', dc('+', 12), dc('+', 24), ['short certain engine house']],
  ['a battery of 24 V on one of 12 V', dc('+', 24), dc('+', 12), ['short certain engine house']],
  ['one whose volts nobody said', dc('+', 12), dc('+', null), ['not-said not known engine house']],
  ['grid and generator', ac('L', 230), ac('L', 230), ['not-said not known engine house']],
  ['two transformers, 24 and 230 V', ac('L', 24), ac('L', 230), ['short certain engine house']],
  ['two phases of one source', ac('L1', 230), ac('L2', 230), ['short certain engine house']],
  ['a battery and its own minus', dc('+', 12), dc('0', null), ['short certain engine house']],
  ['two minuses: they carry nothing', dc('0', null), dc('0', null), []],
  ['two neutrals: they carry nothing', ac('N', null), ac('N', null), []],
];

describe('two sources on one switch', () => {
  it.each(BOTH)('joined: %s', (_, house, engine, says) => {
    expect(hazards(house, engine, ['1-2-3'])).toEqual(says);
  });

  it('apart are no hazard, one after the other with a gap neither', () => {
    expect(hazards(dc('+', 12), dc('+', 12), ['1-2', '', '2-3'])).toEqual([]);
    expect(hazards(dc('+', 12), dc('+', 12), ['1-2', '2-3'], false)).toEqual([]);
  });

  it.each<[boolean | null, string[]]>([
    [null, ['not-said not known engine house']],
    [true, ['not-said not known seen engine house']],
    [false, []],
  ])('in passing, where it makes before it breaks: %s', (makesBefore, says) => {
    expect(hazards(dc('+', 12), dc('+', 12), ['1-2', '2-3'], makesBefore)).toEqual(says);
    expect(hazards(ac('L', 230), ac('L', 230), ['2-3', '1-2'], makesBefore)).toEqual(says);
  });

  it('in passing of unlike batteries is a short', () => {
    expect(hazards(dc('+', 12), dc('+', 24), ['1-2', '2-3'], true)).toEqual([
      'short-in-passing certain engine house',
    ]);
  });

  it('is not told twice: a step between two settings that both join them adds nothing', () => {
    expect(hazards(dc('+', 12), dc('+', 12), ['1-2-3', '1-3'], null)).toEqual([
      'not-said not known engine house',
      'not-said not known engine house',
    ]);
  });
});

type Said = NonNullable<Drawn['sources']>;
const TWELVE = dc('+', 12);
const MAINS = ac('L', 230);
const OWN_MINUS = { minus: dc('0', null), less: dc('0', null) };
/** Two batteries, each with a minus of its own. */
const own = (more: { shares?: string; with?: string; volts?: number } = {}): Said => ({
  House: { poles: 'house less', volts: 12, shares: 'nothing' },
  Engine: { poles: 'engine minus', volts: 12, shares: 'nothing', ...more },
});
const alone = (shares: string | undefined, more: { with?: string } = {}): Said => ({
  House: { poles: 'house', volts: 12, shares: 'nothing' },
  Engine: { poles: 'engine', volts: 12, ...(shares !== undefined && { shares }), ...more },
});

/** By hand, from what is said of the sources (common practice; IEC 60038 for the tolerance, from memory). */
const SAID: [string, Source, Source, Said, string[]][] = [
  ['a common minus: two batteries in parallel', TWELVE, TWELVE, alone('House'), ['parallel certain engine house']],
  ['the same, on purpose: said by a person', TWELVE, TWELVE, alone('House', { with: 'House' }), ['on-purpose certain engine house']],
  ['nobody has said what the second shares', TWELVE, TWELVE, alone(undefined), ['not-said not known engine house']],
  ['a minus each and nothing shared: a point, no current', TWELVE, TWELVE, own(), ['shared-point certain engine house']],
  ['a minus each, and the minuses are one', TWELVE, TWELVE, own({ shares: 'House' }), ['parallel certain engine house']],
  ['said to share nothing, with no minus of its own: that is not said', TWELVE, TWELVE, alone('nothing'), ['not-said not known engine house']],
  ['unlike, on purpose: still a short', TWELVE, dc('+', 24), { House: { poles: 'house', volts: 12, shares: 'nothing' }, Engine: { poles: 'engine', volts: 24, shares: 'House', with: 'House' } }, ['short certain engine house']],
  ['one battery behind two fuses', TWELVE, TWELVE, { House: { poles: 'house engine', volts: 12, shares: 'nothing' } }, ['past-fuse certain engine house']],
  ['grid and generator on one neutral', MAINS, MAINS, alone('House'), ['back-feed certain engine house']],
  ['the same, on purpose: two AC sources never are', MAINS, MAINS, alone('House', { with: 'House' }), ['back-feed certain engine house']],
  ['one phase behind two fuses: pulling one leaves it live', MAINS, MAINS, { Grid: { poles: 'house engine', volts: 230, shares: 'nothing' } }, ['back-feed certain engine house']],
]; // prettier-ignore

describe('two sources of which it is said what they share', () => {
  it.each(SAID)('%s', (_, house, engine, sources, says) => {
    const supplies = house?.current === 'DC' ? OWN_MINUS : {};
    expect(hazards(house, engine, ['1-2-3'], false, { sources, supplies })).toEqual(says);
  });

  it('what hurts nobody where it stays is not told in passing', () => {
    const fused: Said = { House: { poles: 'house engine', volts: 12, shares: 'nothing' } };
    expect(hazards(TWELVE, TWELVE, ['1-2', '2-3'], true, { sources: fused })).toEqual([]);
    expect(hazards(TWELVE, TWELVE, ['1-2', '2-3'], true, { sources: alone('House') })).toEqual([
      'parallel certain seen engine house',
    ]);
  });
});

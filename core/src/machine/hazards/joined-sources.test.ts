import { describe, expect, it } from 'vitest';
import { drawnHazards } from '../../testing/drawn-hazards.js';
import type { Drawn } from '../wiring/drawn.js';

type Source = Drawn['supplies'][string];
const dc = (kind: '+' | '0', volts: number | null): Source => ({ kind, volts, current: 'DC' });
const ac = (kind: 'L' | 'L1' | 'L2' | 'N', volts: number | null): Source => ({ kind, volts, current: 'AC' });

/** Two sources on lugs 1 and 3, a lamp on lug 2, in settings such as `1-2`, in handle order. */
function hazards(house: Source, engine: Source, settings: string[], makesBefore: boolean | null = false) {
  const { current } = house;
  const drawn: Drawn = {
    terminals: '1 2 3',
    supplies: {
      house,
      engine,
      back: current === 'DC' ? dc('0', null) : ac('N', null),
    },
    loads: { lamp: { volts: house.volts, watts: 25, current } },
    wires: '1>house 3>engine 2>lamp.1 lamp.2>back',
  };
  return drawnHazards(drawn, settings, makesBefore).map((one) =>
    [
      one.kind,
      ...('certain' in one ? [one.certain ? 'certain' : 'not known'] : []),
      ...('seen' in one && one.seen ? ['seen'] : []),
      ...('supplies' in one ? one.supplies.toSorted() : []),
    ].join(' '),
  );
}

/** By hand: two live potentials of one kind are never 'no hazard'; which hazard, only a person can say (common practice). */
const BOTH: [string, Source, Source, string[]][] = [
  ['two batteries of 12 V', dc('+', 12), dc('+', 12), ['sources-joined not known engine house']],
  ['two of which one is charged: 12.6 and 13.2 V', dc('+', 12.6), dc('+', 13.2), ['sources-joined not known engine house']], // prettier-ignore
  ['a battery of 12 V on one of 24 V', dc('+', 12), dc('+', 24), ['short certain engine house']],
  ['a battery of 24 V on one of 12 V', dc('+', 24), dc('+', 12), ['short certain engine house']],
  ['one whose volts nobody said', dc('+', 12), dc('+', null), ['sources-joined not known engine house']],
  ['grid and generator', ac('L', 230), ac('L', 230), ['sources-joined not known engine house']],
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
    [null, ['sources-joined-in-passing not known engine house']],
    [true, ['sources-joined-in-passing not known seen engine house']],
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
      'sources-joined not known engine house',
      'sources-joined not known engine house',
    ]);
  });
});

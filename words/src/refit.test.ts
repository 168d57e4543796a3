import { newWire, type Load, type Supply, type Wire } from '@which-way/core/log';
import type { CardLine, Refit } from '@which-way/core/refit';
import { describe, expect, it } from 'vitest';
import {
  cardLineMore,
  cardLineWords,
  recordLimitWords,
  mistakeWords,
  nodeShort,
  nodeWords,
  bypassRefusalWords,
  triedWords,
} from './refit.js';

let made = 0;
const newId = <Id extends string>() => `id-${(made += 1)}` as Id;
const wire = (tag: string, more: Partial<Wire> = {}): Wire => ({ ...newWire(tag, newId), ...more });
const [brown, grey] = [wire('1', { color: 'BN' }), wire('2', { color: 'GY' })];

/** Two wires on the lugs A and B of a part, a junction from B to C, and a jumper of a test that may be left between A and C. */
const refit: Refit = {
  ...{ way: 'part', name: 'Larkspur two', lugs: ['A', 'B', 'C'], lugKeys: ['lug A', 'lug B', 'lug C'] },
  positions: [{ name: 'ON', nets: [0, 0, 2], setting: null }],
  ...{ jumpers: [[1, 2]], strays: [[0, 2]] },
  wires: [
    { wire: brown, lug: 0, mayLie: [] },
    { wire: grey, lug: 1, mayLie: [2] },
  ],
};

describe('a line of the transfer card', () => {
  const at = { key: '', wire: brown, old: '3' };
  it.each<[CardLine, string]>([
    [{ key: '', kind: 'jumper', from: 'A', to: 'C' }, 'Jumper from A to C'],
    [{ ...at, kind: 'wire', to: 'A', sharing: [], others: [] }, 'Tag 1 (BN) from 3 to A'],
    [{ ...at, old: null, kind: 'wire', to: 'A', sharing: [], others: [] }, 'Tag 1 (BN) to A'],
    [{ key: '', kind: 'splice', wires: [brown, grey], old: '4' }, 'Join tag 1 (BN) and tag 2 (GY), from 4, in an enclosed connector'],
    [{ ...at, kind: 'cap' }, 'Cap tag 1 (BN) from 3: it goes to no terminal'],
    [{ ...at, kind: 'label' }, 'Tag 1 (BN): label it, it was on 3'],
    [{ key: '', kind: 'stop', from: 'I', to: 'II', spare: ['III'] }, 'Fit the stop: it turns from I to II only'],
  ])('%#: says what the hands do', (line, words) => expect(cardLineWords(line)).toBe(words)); // prettier-ignore

  it('says of a wire what shares its lug, and that a live one with the colour of an earth is to be marked', () => {
    const shared: CardLine = { ...at, kind: 'wire', to: 'A', sharing: [grey], others: [] };
    expect(cardLineMore(shared)).toContainEqual(expect.stringContaining('With tag 2 (GY) on one lug'));
    const marked = { ...shared, wire: { ...brown, liveThough: true } };
    expect(cardLineMore(marked)).toContainEqual(expect.stringContaining('re-mark it'));
    expect(cardLineMore({ key: '', kind: 'stop', from: 'I', to: 'II', spare: ['III', 'IV'] })).toEqual([
      'Never at III or IV.',
    ]);
  });
});

describe('the check before power in words', () => {
  it('names a place by its wire or its lug', () => {
    expect([0, 1, 2, 4].map((node) => nodeShort(refit, node))).toEqual([
      ...['tag 1 (BN)', 'tag 2 (GY)', 'lug A', 'lug C'],
    ]);
    expect(nodeWords(refit, 1)).toBe('far end of tag 2 (GY)');
  });

  it('names every kind of mistake with what to look at', () => {
    const words = (
      [
        { kind: 'wrong-lug', wire: 1, lug: 0 },
        { kind: 'swapped', wires: [0, 1] },
        { kind: 'not-on', wire: 0 },
        { kind: 'jumper-forgotten', jumper: 0 },
        { kind: 'jumper-left', jumper: 0 },
        { kind: 'detent-off', by: 1 },
        { kind: 'detent-off', by: -1 },
      ] as const
    ).map((mistake) => mistakeWords(refit, mistake));
    expect(words).toEqual([
      'Tag 2 (GY) is on A instead of B',
      'Tag 1 (BN) and tag 2 (GY) are swapped',
      'Tag 1 (BN) makes no contact with its lug',
      'The jumper between B and C is missing',
      'A jumper is left between A and C',
      'The handle is one position further on than its mark says',
      'The handle is one position further back than its mark says',
    ]);
  });

  it('says on which side a limit lies', () => {
    expect(recordLimitWords({ limit: 1e6, atLeast: true })).toBe('at least 1 MΩ');
    expect(recordLimitWords({ limit: 0.3, atLeast: false })).toBe('at most 0.3 Ω');
    expect(recordLimitWords({ limit: null, atLeast: true })).toBe('no limit');
  });
});

describe('a jumper test that is not to be made', () => {
  const supply = (name: string) =>
    ({ id: name, name, kind: 'L', volts: 230, current: 'AC' }) as Supply & { id: string };
  const of = {
    wires: [brown, grey],
    supplies: [supply('left'), supply('right')],
    loads: [{ id: 'planer', name: 'planer' } as unknown as Load],
  };
  it.each([
    [{ because: 'not-known' }, 'Not offered: what joins here isn’t fully known.'],
    [{ because: 'nothing-joins' }, 'Nothing to join: no two wires meet in this position.'],
    [{ because: 'end-not-known', wires: [grey.id] }, 'Not offered: where tag 2 (GY) ends is not known.'],
    [{ because: 'end-not-known', wires: [] }, 'Not offered: we don’t know where the wires end.'],
    [{ because: 'brake', loads: ['planer'] }, 'Refused: the brake of planer would be left out.'],
  ])('%#: says why', (refusal, words) => expect(bypassRefusalWords(refusal as never, of)).toBe(words));

  it('names both supplies that would meet', () => {
    const words = bypassRefusalWords({ because: 'supplies-meet', supplies: ['left', 'right'] as never }, of);
    expect(words).toMatch(/^Refused: .*left.* and .*right.* would meet\.$/);
  });
});

it('a function that fails says what it does instead, where that was said', () => {
  expect(triedWords({ result: 'fails', does: 'weak' })).toBe('fails: weak');
  expect(triedWords({ result: 'fails' })).toBe('fails');
  expect(triedWords({ result: 'as-it-should' })).toBe('as it should');
});

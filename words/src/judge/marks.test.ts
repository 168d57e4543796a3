import { describeSwitch, newIdFrom, seededRandom, type Structure } from '@which-way/core/switch';
import { describe, expect, it } from 'vitest';
import { marksResultWords, markWords } from './marks.js';

describe('a mark on the part', () => {
  const change = describeSwitch(
    { terminals: 3, positions: 2, form: 'rotary', layout: 'list' },
    newIdFrom(seededRandom(4)),
  );
  const structure: Structure = { ...change, placed: [], merged: {} };
  const [a, b] = change.terminals.map(({ id }) => id);
  const [one, other] = change.settings.map(({ id }) => id);

  it('is told by where it should be and where it is', () => {
    if (!a || !b || !one || !other) throw new Error('too few');
    expect(markWords(structure, { of: 'lug', should: a, is: b })).toBe(
      'The mark on the contacts should be at lug 1; it is at lug 2.',
    );
    expect(markWords(structure, { of: 'lug', should: a, is: a })).toBe(
      'The mark on the contacts is at lug 1, where it should be.',
    );
    expect(markWords(structure, { of: 'position', should: one, is: other })).toBe(
      'The stop or flat of the handle should be at Position 1; it is at Position 2.',
    );
  });

  it('says what it comes to', () => {
    const of = (said: number, ruledOut: number, noneFits = false) =>
      marksResultWords({ said, ruledOut, noneFits });
    expect([of(0, 0), of(1, 1), of(1, 3), of(2, 0), of(1, 0, true)]).toEqual([
      'can tell these causes apart',
      'rule out 1 cause',
      'rule out 3 causes',
      'fit every cause listed',
      'no listed cause fits them: look again',
    ]);
  });
});

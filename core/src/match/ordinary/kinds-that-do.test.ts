import { describe, expect, it } from 'vitest';
import { partitionFromGroups } from '../../partition/index.js';
import { kindsThatDo } from './kinds-that-do.js';

const needed = (terminals: number, ...settings: number[][][]) => ({
  pattern: settings.map((groups) => partitionFromGroups(terminals, groups)),
  terminals: Array.from({ length: terminals }, (_, at) => at),
  known: null,
});
const told = (...given: Parameters<typeof needed>) =>
  kindsThatDo(needed(...given)).map(({ kind, poles, ways }) => `${poles} x ${ways} ${kind}`);

// By hand: a contact is also in a changeover and in two poles; a changeover in a changeover of two poles; a reversing motor is a crossing.
describe('ordinary kinds that would do by wiring', () => {
  it('begin with the kind itself, then those with more', () => {
    expect(told(2, [], [[0, 1]])).toEqual([
      '1 x 1 on-off',
      '1 x 2 changeover',
      '1 x 2 changeover-centre-off',
      '1 x 2 selector-off',
      '1 x 2 bridging',
    ]);
    expect(told(3, [[0, 1]], [[0, 2]])[0]).toBe('1 x 2 changeover');
    expect(told(4, [[0, 2], [1, 3]], [], [[0, 3], [1, 2]])[0]).toBe('1 x 2 crossing-off'); // prettier-ignore
  });

  it('are none for a pattern of no kind, and none where not all is known', () => {
    const odd = [[[0, 1, 2], [3, 4]], [[0, 3], [1, 4]], [[2, 4]], [[0, 4, 3]], [[1, 2, 3]]]; // prettier-ignore
    expect(told(5, ...odd)).toEqual([]);
    const unknown = { ...needed(2, [], [[0, 1]]), known: new Uint32Array([0b10]) };
    expect(kindsThatDo(unknown)).toEqual([]);
  });
});

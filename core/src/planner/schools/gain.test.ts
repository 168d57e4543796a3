import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { gainIn } from './gain.js';
import { blankField } from './course.js';
import { unknownPairsOf, takeReading } from '../field/field.js';
import { type Chance } from '../chance/chance.js';

/** One setting of some terminals after pairs were read. */
function known(size: number, opens: readonly [number, number][], joins: readonly [number, number][] = []) {
  const field = blankField(size, 1);
  for (const [a, b] of joins) takeReading(field, { setting: 0, red: [a], black: [b], closed: true });
  for (const [a, b] of opens) takeReading(field, { setting: 0, red: [a], black: [b], closed: false });
  return field;
}

describe('what asking two terminals is expected to settle', () => {
  it('is no less than nothing, and no more than all that is open', () => {
    const pair = fc.tuple(fc.nat(6), fc.nat(6)).filter(([a, b]) => a !== b);
    fc.assert(
      fc.property(
        fc.array(pair, { maxLength: 12 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (opens, of) => {
          const field = known(7, opens);
          const gain = gainIn(field, 0, () => of);
          const open = unknownPairsOf(field, 0);
          for (const [a, b] of open) {
            expect(gain(a, b)).toBeGreaterThanOrEqual(0);
            expect(gain(a, b)).toBeLessThanOrEqual(open.length);
            expect(gain(a, b)).toBe(gain(b, a));
          }
        },
      ),
    );
  });

  it('is one pair where the answer is known to be open and nothing else could show it', () => {
    expect(gainIn(known(2, []), 0, () => 0)(0, 1)).toBe(1);
    expect(gainIn(known(5, [[0, 2]]), 0, () => 0)(0, 1)).toBe(1);
  });

  it('is more for a join the more one of the two is known to be apart from, and little where neither is', () => {
    const sure: Chance = (_, a, b) => (a + b === 1 ? 1 : 0.01);
    const none = gainIn(known(4, []), 0, sure)(0, 1);
    const one = gainIn(known(4, [[0, 2]]), 0, sure)(0, 1);
    const other: [number, number][] = [
      [0, 2],
      [0, 3],
    ];
    const two = gainIn(known(4, other), 0, sure)(0, 1);
    expect(none).toBeLessThan(one);
    expect(one).toBeLessThan(two);
    // Apart from both, a third has nothing more to be settled by it.
    expect(gainIn(known(4, [...other, [1, 2], [1, 3]]), 0, sure)(0, 1)).toBe(1);
  });

  it('is hardly anything where the open answer will follow: 0 is nearly surely one with 2, which is apart from 1', () => {
    const chance: Chance = (_, a, b) => (a + b === 2 ? 0.98 : 0.01);
    const field = known(3, [[1, 2]]);
    expect(gainIn(field, 0, chance)(0, 1)).toBeLessThan(0.05);
    // The join that it waits for is worth two pairs, nearly.
    expect(gainIn(field, 0, chance)(0, 2)).toBeGreaterThan(1.5);
  });
});

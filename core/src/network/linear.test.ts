import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Reals } from '../grid/index.js';
import { solveLinear } from './index.js';

describe('linear equations', () => {
  it('exchange rows where a pivot is nothing (worked by hand)', () => {
    // 2y = 4, x + y = 5: x = 3, y = 2.
    const equations = new Reals([0, 2, 4, 1, 1, 5], 3);
    solveLinear(equations);
    expect([equations.cell(0, 2), equations.cell(1, 2)]).toEqual([3, 2]);
  });

  it('give back what they were made from, for two right sides at once', () => {
    const number = fc.integer({ min: -9, max: 9 });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }).chain((size) => {
          const line = fc.array(number, { minLength: size, maxLength: size });
          return fc.tuple(fc.array(line, { minLength: size, maxLength: size }), line, line);
        }),
        ([matrix, first, second]) => {
          const size = matrix.length;
          // What is heavy on the diagonal always has one answer.
          const heavy = matrix.map((row, at) => row.map((value, column) => (at === column ? 60 : value)));
          const times = (row: readonly number[], answer: readonly number[]) =>
            row.reduce((sum, value, at) => sum + value * (answer[at] ?? 0), 0);
          const rows = heavy.flatMap((row) => [...row, times(row, first), times(row, second)]);
          const equations = new Reals(rows, size + 2);
          solveLinear(equations);
          first.forEach((value, at) => expect(equations.cell(at, size)).toBeCloseTo(value, 9));
          second.forEach((value, at) => expect(equations.cell(at, size + 1)).toBeCloseTo(value, 9));
        },
      ),
    );
  });
});

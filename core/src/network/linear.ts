import type { Reals } from '../grid/index.js';

/**
 * Solves as many linear equations as there are rows, in place: Gauss and Jordan with the largest pivot of each column (textbook).
 * @param equations row after row: the coefficients, then one column for each right side; afterwards those hold the answers
 * A matrix without one answer leaves numbers that are not finite; nothing is thrown.
 * @example
 * const equations = new Reals([2, 0, 4, 0, 4, 2], 3);
 * solveLinear(equations);
 * [equations.cell(0, 2), equations.cell(1, 2)] // => [2, 0.5]
 */
export function solveLinear(equations: Reals): void {
  const { columns } = equations;
  const size = equations.length / columns;
  for (let column = 0; column < size; column += 1) {
    let best = column;
    for (let row = column + 1; row < size; row += 1)
      if (Math.abs(equations.cell(row, column)) > Math.abs(equations.cell(best, column))) best = row;
    equations.swapRows(column, best);
    const scale = equations.cell(column, column);
    for (let at = column; at < columns; at += 1)
      equations.set(column * columns + at, equations.cell(column, at) / scale);
    for (let row = 0; row < size; row += 1) {
      const factor = equations.cell(row, column);
      if (row === column || factor === 0) continue;
      for (let at = column; at < columns; at += 1)
        equations.add(row * columns + at, -factor * equations.cell(column, at));
    }
  }
}

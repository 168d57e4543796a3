import type { Pattern } from '../partition/index.js';

/** More positions than this do not fit the bit sets; such a search answers 'undecided'. */
export const MOST_POSITIONS = 32;

/**
 * For each pair of terminals (a * size + b) the set of positions in which they join, one bit per position.
 * Two patterns are the same wiring under a renaming exactly when it carries one relation to the other.
 */
export interface Relation {
  size: number;
  joined: Uint32Array;
}

/** The relation of chosen settings of a pattern over chosen terminals, both in the order given. */
export function relationOf(
  pattern: Pattern,
  settings: readonly number[],
  terminals: readonly number[],
): Relation {
  if (settings.length > MOST_POSITIONS) throw new RangeError(`at most ${MOST_POSITIONS} positions`);
  const size = terminals.length;
  const joined = new Uint32Array(size * size);
  settings.forEach((setting, bit) => {
    const partition = pattern[setting];
    if (!partition) throw new RangeError(`no setting ${setting}`);
    terminals.forEach((one, a) => {
      terminals.forEach((other, b) => {
        if (partition[one] === partition[other]) joined[a * size + b] = at(joined, a * size + b) | (1 << bit);
      });
    });
  });
  return { size, joined };
}

/** A cell of a typed array that is known to be inside it. */
export function at(cells: Uint32Array, index: number): number {
  return cells[index] as number;
}

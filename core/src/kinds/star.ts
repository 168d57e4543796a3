import type { Pattern } from '../partition/index.js';

/** A pole in which all that is ever joined goes through one terminal: its throws, and where each is closed. */
export interface Star {
  common: number;
  throws: { terminal: number; closed: boolean[] }[];
}

/**
 * The pole as a star around its common; null where it is none, as where two throws join without it. Of a single contact
 * the smaller terminal stands as common.
 */
export function starOf(pattern: Pattern, terminals: readonly number[]): Star | null {
  for (const common of terminals) {
    const through = pattern.every((partition) =>
      terminals.every((a) =>
        terminals.every(
          (b) => a === b || partition[a] !== partition[b] || partition[a] === partition[common],
        ),
      ),
    );
    if (!through) continue;
    const throws = terminals
      .filter((terminal) => terminal !== common)
      .map((terminal) => ({
        terminal,
        closed: pattern.map((partition) => partition[terminal] === partition[common]),
      }));
    return { common, throws };
  }
  return null;
}

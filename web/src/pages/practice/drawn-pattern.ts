import { partitionFromGroups, type Pattern } from '@which-way/core/partition';
import { DRAWN_PATTERN_TEXT } from '@which-way/words/screens/pages/practice/drawn-pattern';

/** A switch as it was drawn up for practice: how many lugs, and for each position what joins, such as `1-2, 4-5-6`. */
export interface DrawnSwitch {
  terminals: string;
  positions: readonly string[];
}

export const MOST_DRAWN = { terminals: 48, positions: 24 };

/** Reads it; where it cannot be read says what, where, and what would be right. */
export function readDrawn({
  terminals,
  positions,
}: DrawnSwitch): { kind: 'pattern'; pattern: Pattern } | { kind: 'wrong'; message: string } {
  const size = /^\d+$/.test(terminals.trim()) ? Number(terminals) : 0;
  if (size < 2 || size > MOST_DRAWN.terminals)
    return wrong(DRAWN_PATTERN_TEXT.lugsCannotBeDrawnGive(terminals, MOST_DRAWN.terminals));
  const pattern: number[][] = [];
  for (const [at, text] of positions.entries()) {
    const groups: number[][] = [];
    for (const part of text.split(/[,;\s]+/).filter((one) => one !== '')) {
      const lugs = part.split(/[-+]/).map(Number);
      const fits = lugs.length > 1 && lugs.every((lug) => Number.isInteger(lug) && lug >= 1 && lug <= size);
      if (!fits || new Set(lugs).size < lugs.length)
        return wrong(DRAWN_PATTERN_TEXT.positionSaysNothingThatJoins(at + 1, part, size));
      groups.push(lugs.map((lug) => lug - 1));
    }
    pattern.push(partitionFromGroups(size, groups));
  }
  if (pattern.every((nets) => nets.every((net, place) => net === place)))
    return wrong(DRAWN_PATTERN_TEXT.nothingJoinsInAnyPosition);
  return { kind: 'pattern', pattern };
}

const wrong = (message: string) => ({ kind: 'wrong' as const, message });

import type { MatchResult } from '@which-way/core/match';

/** Order in the list: the same wiring first, the same order before reversed, fewer spares first; then open questions, then no. */
export function rankOf(result: MatchResult): number {
  switch (result.kind) {
    case 'same-wiring':
    case 'fits-so-far':
      return (result.order === 'reversed' ? 1000 : 0) + result.sparePositions.length * 20 + result.spareTerminals.length;
    case 'undecided':
      return 10_000;
    case 'no':
      return result.because === 'wiring' ? 20_000 : 30_000;
  }
}

import type { KnownSwitch } from '../switch/index.js';
import type { MatchResult } from './match.js';

/**
 * Order in the list: the same wiring first (what can be bought before mere patterns, fewer junctions first, then fewer gaps, the
 * same order before reversed, fewer spares), then open questions, then no.
 */
export function rankOf({ known, result }: { known: Pick<KnownSwitch, 'kind'>; result: MatchResult }): number {
  switch (result.kind) {
    case 'same-wiring':
    case 'fits-so-far':
      return (
        (known.kind === 'part' ? 0 : 5000) +
        result.jumpers * 1000 +
        result.between.length * 100 +
        (result.order === 'reversed' ? 50 : 0) +
        result.sparePositions.length * 20 +
        result.spareTerminals.length
      );
    case 'undecided':
      return 10_000;
    case 'no':
      return result.because === 'wiring' ? 20_000 : 30_000;
  }
}

import type { HuntEvidence } from './evidence.js';
import type { FaultModel } from './fault-model.js';
import { nextTest, type NextTest } from './next-test.js';
import { rankFaults, type RankedFault } from './rank.js';

/** A fault with its chance, and how many of the looks it explains; data alone, which a thread can hand on. */
export type LikelyFault = Pick<RankedFault, 'fault' | 'chance' | 'explains'>;

/** What all that was found out comes to: the faults, the likeliest first, and what to do next. */
export interface FoundFaults {
  ranked: readonly LikelyFault[];
  /** So many looks there were to explain. */
  looks: number;
  next: NextTest | null;
}

/** Nothing was seen yet. */
export const NOTHING_FOUND: FoundFaults = { ranked: [], looks: 0, next: null };

/** Ranks the faults of a machine by all that was found out, and says what to do next; nothing before something was seen. */
export function foundFaults(model: FaultModel, evidence: HuntEvidence): FoundFaults {
  if (evidence.seen.length === 0) return NOTHING_FOUND;
  const ranked = rankFaults(model, evidence);
  return {
    ranked: ranked.map(({ fault, chance, explains }) => ({ fault, chance, explains })),
    looks: evidence.seen.length,
    next: nextTest(model, ranked, evidence),
  };
}

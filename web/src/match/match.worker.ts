import { matchPattern, type MatchResult, type Requirement } from '@which-way/core/match';
import { patternOfKnown } from '@which-way/core/partition';
import type { KnownSwitch } from '@which-way/core/switch';
import { expose } from 'comlink';

const worker = {
  /** One candidate at a time, so that progress shows and cancelling is prompt. */
  match(requirement: Requirement, known: Pick<KnownSwitch, 'terminals' | 'positions'>): MatchResult {
    return matchPattern(requirement, patternOfKnown(known));
  },
};

export type MatchWorker = typeof worker;

expose(worker);

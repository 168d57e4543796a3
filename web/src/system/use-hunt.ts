import {
  faultModel,
  nextTest,
  rankFaults,
  type FaultModel,
  type NextTest,
  type Observation,
  type RankedFault,
} from '@which-way/core/circuit';
import type { Log } from '@which-way/core/log';
import {
  healthySystem,
  systemEvidence,
  type Combination,
  type System,
  type SystemHandle,
} from '@which-way/core/system';
import { useMemo } from 'react';

/** The hunt for the fault that explains what was seen of a system. */
export type Hunt =
  | { model: FaultModel; seen: readonly Observation[]; ranked: RankedFault[]; next: NextTest | null }
  /** Switches of which nobody has said in full what they should do. */
  | { unsaid: SystemHandle[] };

/** Ranks the faults of a system by what was seen of its loads, read of its contacts and tried of its parts. */
export function useHunt(log: Log, system: System, combinations: readonly Combination[]): Hunt {
  const model = useMemo(() => {
    const found = healthySystem(system, combinations);
    return 'unsaid' in found ? found : faultModel(system.machine, found.healthy);
  }, [system, combinations]);
  return useMemo(() => {
    if ('unsaid' in model) return model;
    const evidence = systemEvidence(log, system, combinations);
    const { seen } = evidence;
    if (seen.length === 0) return { model, seen, ranked: [], next: null };
    const ranked = rankFaults(model, evidence);
    return { model, seen, ranked, next: nextTest(model, ranked, evidence) };
  }, [model, combinations, log, system]);
}

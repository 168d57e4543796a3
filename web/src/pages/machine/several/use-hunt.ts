import { faultModel, NO_EVIDENCE, type FaultModel, type Observation } from '@which-way/core/circuit';
import type { Log } from '@which-way/core/log';
import {
  healthySystem,
  systemEvidence,
  type Combination,
  type System,
  type SystemHandle,
} from '@which-way/core/system';
import { useMemo } from 'react';
import { useFound, type Found } from '../../../parts/hunt/use-found.js';

/** The hunt for the fault that explains what was seen of a system. */
export type Hunt =
  | (Found & { model: FaultModel; seen: readonly Observation[] })
  /** Switches of which nobody has said in full what they should do. */
  | { unsaid: SystemHandle[] };

/** Ranks the faults of a system by what was seen of its loads, read of its contacts and tried of its parts. */
export function useHunt(log: Log, system: System, combinations: readonly Combination[]): Hunt {
  const healthy = useMemo(() => healthySystem(system, combinations), [system, combinations]);
  const said = 'unsaid' in healthy ? null : healthy.healthy;
  const hunted = useMemo(() => said && { machine: system.machine, healthy: said }, [system, said]);
  const model = useMemo(() => hunted && faultModel(hunted.machine, hunted.healthy), [hunted]);
  const evidence = useMemo(
    () => (hunted ? systemEvidence(log, system, combinations) : NO_EVIDENCE),
    [hunted, combinations, log, system],
  );
  const found = useFound(hunted, evidence);
  if (!model) return { unsaid: 'unsaid' in healthy ? healthy.unsaid : [] };
  return { model, seen: evidence.seen, ...found };
}

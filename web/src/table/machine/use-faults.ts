import {
  evidenceOf,
  faultModel,
  healthyOf,
  nextTest,
  rankFaults,
  type Evidence,
  type FaultModel,
  type Machine,
  type NextTest,
  type RankedFault,
} from '@which-way/core/circuit';
import type { SwitchMap } from '@which-way/core/continuity';
import { useMemo } from 'react';
import { useSame } from '../../shared/use-same.js';

/** The hunt for the fault of one switch's machine; null while nobody has said in full what the switch should do. */
export interface Faults {
  model: FaultModel;
  evidence: Evidence;
  ranked: readonly RankedFault[];
  next: NextTest | null;
}

/** Ranks the faults of a machine by all that was found out, wherever it was written down; nothing before something was seen. */
export function useFaults(map: SwitchMap, machine: Machine): Faults | null {
  const healthy = useMemo(() => healthyOf(map), [map]);
  // What is seen and read changes the map, and neither the wiring nor what the switch should do.
  const { leads, open, loads, supplies } = machine;
  const of = useSame({ machine, healthy }, JSON.stringify([leads, [...open], loads, supplies, healthy]));
  const model = useMemo(() => (of.healthy ? faultModel(of.machine, of.healthy) : null), [of]);
  const evidence = useMemo(() => evidenceOf(map, machine), [map, machine]);
  return useMemo(() => {
    if (!model) return null;
    const ranked = evidence.seen.length > 0 ? rankFaults(model, evidence) : [];
    return { model, evidence, ranked, next: ranked.length > 0 ? nextTest(model, ranked, evidence) : null };
  }, [model, evidence]);
}

import {
  evidenceOf,
  faultModel,
  healthyOf,
  type HuntEvidence,
  type FaultModel,
  type Machine,
} from '@which-way/core/circuit';
import type { SwitchMap } from '@which-way/core/continuity';
import { useMemo } from 'react';
import { useFound, type Found } from '../../../parts/hunt/use-found.js';
import { useSame } from '../../../controls/use-same.js';

/** The hunt for the fault of one switch's machine. */
export interface Faults extends Found {
  model: FaultModel;
  evidence: HuntEvidence;
}

/**
 * Ranks the faults of a machine by all that was found out, wherever it was written down; nothing before something was seen; null while
 * nobody has said in full what the switch should do.
 */
export function useFaults(map: SwitchMap, machine: Machine): Faults | null {
  const healthy = useMemo(() => healthyOf(map), [map]);
  // What is seen and read changes the map, and neither the wiring nor what the switch should do.
  const { leads, open, loads, supplies } = machine;
  const hunted = useSame(
    healthy && { machine, healthy },
    JSON.stringify([leads, [...open], loads, supplies, healthy]),
  );
  const model = useMemo(() => hunted && faultModel(hunted.machine, hunted.healthy), [hunted]);
  const evidence = useMemo(() => evidenceOf(map, machine), [map, machine]);
  const found = useFound(hunted, evidence);
  return model && { model, evidence, ...found };
}

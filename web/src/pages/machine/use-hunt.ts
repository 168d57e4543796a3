import {
  evidenceOf,
  healthyIn,
  huntIn,
  NO_EVIDENCE,
  type Combination,
  type FaultModel,
  type HuntEvidence,
  type Machine,
  type MachineHandle,
} from '@which-way/core/machine';
import type { Log } from '@which-way/core/log';
import { useMemo } from 'react';
import { useSame } from '../../controls/use-same.js';
import { useFound, type Found } from '../../parts/hunt/use-found.js';

/** The hunt for the fault that explains what was seen of a machine. */
export type HuntInMachine =
  | (Found & { model: FaultModel; evidence: HuntEvidence })
  /** Switches of which nobody has said in full what they should do. */
  | { unsaid: MachineHandle[] };

/** Ranks the faults of a machine by all that was found out, wherever it was written down; nothing before something was seen. */
export function useHunt(log: Log, machine: Machine, combinations: readonly Combination[]): HuntInMachine {
  const should = useMemo(() => healthyIn(machine, combinations), [machine, combinations]);
  const healthy = 'unsaid' in should ? null : should.healthy;
  const { circuit } = machine;
  // What is seen and read changes the maps, and neither the wiring nor what the switches should do.
  const hunted = useSame(
    healthy && { circuit, healthy },
    JSON.stringify([circuit.leads, [...circuit.open], circuit.loads, circuit.supplies, healthy]),
  );
  const model = useMemo(() => hunted && huntIn(hunted.circuit, hunted.healthy).model, [hunted]);
  const evidence = useMemo(
    () => (hunted ? evidenceOf(log, machine, combinations) : NO_EVIDENCE),
    [hunted, combinations, log, machine],
  );
  const found = useFound(hunted, evidence);
  if (!model) return { unsaid: 'unsaid' in should ? should.unsaid : [] };
  return { model, evidence, ...found };
}

import type { Circuit } from '../wiring/circuit.js';
import type { HuntEvidence } from './evidence.js';
import { faultModel, type FaultModel } from './fault-model.js';
import { foundFaults, type FoundFaults } from './found-faults.js';
import type { Healthy } from './healthy-setting.js';

/** A hunt for the fault in one circuit: every single fault is worked out once. */
export interface Hunt {
  model: FaultModel;
  /** What evidence comes to. */
  found: (evidence: HuntEvidence) => FoundFaults;
}

/** Begins a hunt. `healthy`: what the switches should make in every setting. */
export function huntIn(circuit: Circuit, healthy: readonly Healthy[]): Hunt {
  const model = faultModel(circuit, healthy);
  return { model, found: (evidence) => foundFaults(model, evidence) };
}

import {
  faultModel,
  foundFaults,
  NOTHING_FOUND,
  type HuntEvidence,
  type FaultModel,
  type FoundFaults,
} from '@which-way/core/circuit';
import type { Hunted } from './hunted.js';

/** A hunt for faults in one machine: what it is, and then what evidence comes to. */
export function huntDesk() {
  let model: FaultModel | null = null;
  return {
    of: ({ machine, healthy }: Hunted): void => {
      model = faultModel(machine, healthy);
    },
    found: (evidence: HuntEvidence): FoundFaults => (model ? foundFaults(model, evidence) : NOTHING_FOUND),
  };
}
export type HuntDesk = ReturnType<typeof huntDesk>;

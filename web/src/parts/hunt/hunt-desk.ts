import {
  huntIn,
  NOTHING_FOUND,
  type FoundFaults,
  type Hunt,
  type HuntEvidence,
} from '@which-way/core/machine';
import type { Hunted } from './hunted.js';

/** A hunt for faults in one machine: what it is, and then what evidence comes to. */
export function huntDesk() {
  let hunt: Hunt | null = null;
  return {
    of: ({ circuit, healthy }: Hunted): void => {
      hunt = huntIn(circuit, healthy);
    },
    found: (evidence: HuntEvidence): FoundFaults => hunt?.found(evidence) ?? NOTHING_FOUND,
  };
}
export type HuntDesk = ReturnType<typeof huntDesk>;

import type { Circuit, Healthy } from '@which-way/core/machine';

/** What a hunt is in: a circuit, and what its switches should make in every setting. */
export interface Hunted {
  circuit: Circuit;
  healthy: readonly Healthy[];
}

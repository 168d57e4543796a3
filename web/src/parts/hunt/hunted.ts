import type { Healthy, Machine } from '@which-way/core/circuit';

/** What a hunt is in: a machine, and what its switches should make in every setting. */
export interface Hunted {
  machine: Machine;
  healthy: readonly Healthy[];
}

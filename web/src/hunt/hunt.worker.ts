import {
  faultModel,
  foundFaults,
  NOTHING_FOUND,
  type Evidence,
  type FaultModel,
  type FoundFaults,
} from '@which-way/core/circuit';
import { expose } from 'comlink';
import type { Hunted } from './hunted.js';

let model: FaultModel | null = null;

const hunting = {
  of: ({ machine, healthy }: Hunted): void => {
    model = faultModel(machine, healthy);
  },
  found: (evidence: Evidence): FoundFaults => (model ? foundFaults(model, evidence) : NOTHING_FOUND),
};

/** What hunts for faults beside the screen. */
export type HuntWorker = typeof hunting;

expose(hunting);

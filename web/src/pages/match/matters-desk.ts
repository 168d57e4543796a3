import {
  whatMatters,
  type Circuit,
  type Healthy,
  type Matters,
  type NoMatters,
} from '@which-way/core/machine';

/** What matters to a machine, worked out away from the page: it may take two seconds. */
export const mattersDesk = {
  matters: (circuit: Circuit, settings: Healthy[]): Matters | NoMatters =>
    whatMatters(circuit, settings, () => performance.now()),
};
export type MattersDesk = typeof mattersDesk;

import {
  whatMatters,
  type Healthy,
  type Machine,
  type Matters,
  type NoMatters,
} from '@which-way/core/circuit';

/** What matters to a machine, worked out away from the page: it may take two seconds. */
export const mattersDesk = {
  matters: (machine: Machine, settings: Healthy[]): Matters | NoMatters =>
    whatMatters(machine, settings, () => performance.now()),
};
export type MattersDesk = typeof mattersDesk;

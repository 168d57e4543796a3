import {
  whatMatters,
  type Healthy,
  type Machine,
  type Matters,
  type NoMatters,
} from '@which-way/core/circuit';
import { expose } from 'comlink';

/** Works out what matters to a machine, away from the page: it may take two seconds. */
const desk = {
  matters: (machine: Machine, settings: Healthy[]): Matters | NoMatters =>
    whatMatters(machine, settings, () => performance.now()),
};
export type MattersDesk = typeof desk;
expose(desk);

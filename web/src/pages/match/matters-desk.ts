import {
  whatMatters,
  type Circuit,
  type Healthy,
  type Matters,
  type NoMatters,
} from '@which-way/core/machine';
import type { Kind } from '@which-way/core/kinds';
import { kindsThatDo, type Requirement } from '@which-way/core/match';

/** What matters to a machine, and which kinds have a wiring, worked out away from the page: either may take a second or two. */
export const mattersDesk = {
  matters: (circuit: Circuit, settings: Healthy[]): Matters | NoMatters =>
    whatMatters(circuit, settings, () => performance.now()),
  kinds: (required: Requirement): Kind[] => kindsThatDo(required),
};
export type MattersDesk = typeof mattersDesk;

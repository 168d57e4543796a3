import { checkOf, type Bench, type Check } from '@which-way/core/refit';

/** The check before power, worked out beside the screen; `heard` hears how far it is, 0 to 1. */
export const checkDesk = {
  of: (bench: Bench, heard: (done: number) => void): Check => checkOf(bench, (done) => heard(done)),
};
export type CheckDesk = typeof checkDesk;

import { checkOf, type Bench, type Check } from '@which-way/core/refit';

/** The check before power, worked out beside the screen. */
export const checkDesk = { of: (bench: Bench): Check => checkOf(bench) };
export type CheckDesk = typeof checkDesk;

import { checkOf, type Bench, type Check } from '@which-way/core/refit';
import { expose } from 'comlink';

const checking = { of: (bench: Bench): Check => checkOf(bench) };

/** What works out the check before power beside the screen. */
export type CheckWorker = typeof checking;

expose(checking);

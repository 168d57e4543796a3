import type { Work } from '@which-way/contract';

/** How long work says how far it is: which step, how much of it is done, and of how much (0: nobody knows). */
export type Reporter = (step: Work['step'], done: number, total: number) => void;

/** A reporter as it is heard on the main thread, through the door of the worker. */
export type Heard = (step: Work['step'], done: number, total: number) => unknown;

/** Thrown inside work that was asked to end. */
export class Cancelled extends Error {
  constructor() {
    super('cancelled');
  }
}

const PACE_MS = 100;

/**
 * A reporter for work in this thread. Saying how far it is, it also hears whether it is still wanted, by one shared word that
 * is not 0 any more: so that also work that never rests can be ended. It throws Cancelled then.
 */
export function reporter(heard: Heard, flag: SharedArrayBuffer): Reporter {
  const word = new Int32Array(flag);
  let told: { at: number; step: Work['step'] } = { at: -Infinity, step: null };
  return (step, done, total) => {
    if (Atomics.load(word, 0) !== 0) throw new Cancelled();
    const now = performance.now();
    if (step === told.step && now - told.at < PACE_MS) return;
    told = { at: now, step };
    void heard(step, done, total);
  };
}

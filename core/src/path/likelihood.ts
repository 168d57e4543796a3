/** How likely something is, as one says it: a number would claim more than is known. */
export type Likelihood = 'very-likely' | 'likely' | 'even' | 'unlikely' | 'very-unlikely';

/** The word for a chance from 0 to 1. */
export function likelihoodOf(chance: number): Likelihood {
  if (chance >= 0.9) return 'very-likely';
  if (chance >= 0.6) return 'likely';
  if (chance > 0.4) return 'even';
  return chance > 0.1 ? 'unlikely' : 'very-unlikely';
}

/**
 * A small network: a weighted sum of the features, and of hidden units that are each a bent sum of them. What was learnt
 * is data: see prior-weights.ts.
 */
export interface PriorWeights {
  bias: number;
  /** One for each feature. */
  direct: readonly number[];
  /** For each hidden unit its own bias, one weight for each feature, and what it counts. */
  hidden: readonly { bias: number; of: readonly number[]; counts: number }[];
}

/** The chance that the features stand for, 0 to 1: the logistic function of the network's sum. */
export function priorChance(features: readonly number[], { bias, direct, hidden }: PriorWeights): number {
  let sum = bias + dot(direct, features);
  for (const unit of hidden) sum += unit.counts * bend(unit.bias + dot(unit.of, features));
  return 1 / (1 + Math.exp(-sum));
}

/** x / (1 + |x|), which levels off at -1 and 1. */
export const bend = (x: number): number => x / (1 + Math.abs(x));

function dot(weights: readonly number[], features: readonly number[]): number {
  let sum = 0;
  for (let at = 0; at < features.length; at += 1) sum += (weights[at] as number) * (features[at] as number);
  return sum;
}

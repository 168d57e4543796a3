/** Weights of the learnt chance, by feature. Data: written by tools/planning/train-prior.mjs, never by hand. */
export const PRIOR_WEIGHTS: readonly number[] = [
  -1.304, // bias
  0.728, // joins missing here over pairs left
  0.403, // no setting known yet
  0.859, // joined elsewhere, where joins come again
  0.636, // joined elsewhere, where they do not
  0.839, // share of settings in which it is joined
  -1.48, // joined in all
  -1.186, // joined in none of so many
  1.189, // joined beside, where joins come again
  -0.344, // apart beside
  -0.136, // no partners
  1.165, // two throws of a pole
  -1, // of two poles
  -0.191, // both alone here
  1.055, // the hub is idle here, over its choices
  -0.732, // the hub is idle, and the other a throw of it or new
  0.687, // a hub and a terminal without partners
  -1.149, // nothing known elsewhere
  0.474, // the hub has its throw here
  1.444, // joins come again
];

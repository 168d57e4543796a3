export { partsOfLinks } from './in-circuit.js';
export { cordLoop } from './cord.js';
export { expectedOhms, type ExpectedOhms, type Nameplate } from './expected-ohms.js';
export { inPlaceStanding, ROUNDS_WANTED, type InPlaceStanding } from './in-place.js';
export { likelihoodOf, type Likelihood } from './likelihood.js';
export { inSeries } from './link-cost.js';
export { lookShows, signsOf } from './look.js';
export { nextStep, type ProposedStep } from './next-step.js';
export { chained, layPath, PATH_PRESETS, type LooseLink, type PathPreset } from './preset.js';
export { firstTestsOf, guessedSymptoms, mustShow, type FirstTest, type MustShow } from './symptom.js';
export {
  pathVerdict,
  supplyPathOf,
  type LinkState,
  type PathOutcome,
  type PathVerdict,
  type SupplyPath,
} from './verdict.js';

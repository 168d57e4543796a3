export { demandOf, matcherFor, matchPattern, type MatchResult, type Requirement } from './match.js';
export { rankOf } from './rank.js';
export { recognise, type Recognised } from './recognise.js';
export {
  proposedSource,
  requirementBy,
  requirementOf,
  type NoRequirement,
  type RequirementSource,
} from './requirement.js';
export { fitPart, PLAIN_RULES, type Fit, type FitResult, type FitRules } from './fit/fit.js';
export { compilePart, type CompiledPart } from './fit/part.js';
export { isFit } from './fit/verify-fit.js';
export { compileDemand, MOST_WIRES, type CompiledDemand, type WireDemand } from './fit/wires.js';

export {
  demandOf,
  isTrueMatch,
  matcherFor,
  matchPattern,
  type ReadyPart,
  type MatchResult,
  type Requirement,
} from './match.js';
export { compareRanks, rankOf } from './rank.js';
export { recognise, type Recognised } from './recognise.js';
export {
  proposedSource,
  requirementBy,
  type MapRequirement,
  requirementOf,
  type NoRequirement,
  type RequirementSource,
} from './requirement.js';
export { fitPart, PLAIN_RULES, type Fit, type FitResult, type FitRules } from './fit/fit.js';
export { compilePart, type CompiledPart } from './fit/part.js';
export { isFit } from './fit/verify-fit.js';
export { compileDemand, MOST_WIRES, type CompiledDemand, type WireDemand } from './fit/wires.js';
export {
  differencesOf,
  WANTS_REASON,
  type Difference,
  type DifferenceCode,
  type Gravity,
} from './differ/differences.js';
export { subjectOf, type Subject } from './differ/subject.js';
export { nearMissesFor, type NearMiss } from './near-miss.js';

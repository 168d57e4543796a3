export { matchPattern, type MatchResult, type Requirement } from './match.js';
export { rankOf } from './rank.js';
export { recognise, type Recognised } from './recognise.js';
export {
  proposedSource,
  requirementBy,
  requirementOf,
  type NoRequirement,
  type RequirementSource,
} from './requirement.js';

export {
  demandOf,
  isTrueMatch,
  matcherFor,
  matchPattern,
  type ReadyPart,
  type MatchResult,
  type NoMatch,
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
export { compilePart, MAKING_VERSION, type CompiledPart } from './fit/part.js';
export { isFit } from './fit/verify-fit.js';
export { compileDemand, MOST_WIRES, type CompiledDemand, type WireDemand } from './fit/wires.js';
export {
  againstLaying,
  differencesOf,
  WANTS_REASON,
  type Difference,
  type DifferenceCode,
  type Gravity,
} from './differ/differences.js';
export { machineDifferences } from './differ/in-machine.js';
export { subjectOf, type Subject } from './differ/subject.js';
export { nearMissesFor, type NearMiss } from './near-miss.js';
export { requirementByMachine, type MachineNeed } from './machine-need.js';
export { isLoosened, isOffLeftOut, refined } from './refine.js';
export { mechanicsAnswers, type Adapting, type MechanicsAnswer } from './mechanics/mechanics.js';
export { offerFindings, statedBy, type OfferFindings, type OfferSubject } from './offer/offer.js';
export { ratingsOf, type Rating } from './differ/ratings.js';
export { readBehaviour, type Behaviour, type BehaviourTrouble } from './behaviour.js';
export { laidPreset, PRESETS, presetOf, type LaidPreset, type Preset, type PresetName } from './presets.js';

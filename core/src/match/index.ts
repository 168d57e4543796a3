export {
  isTrueMatch,
  matcherFor,
  matchPattern,
  type ReadyPart,
  type MatchResult,
  type Requirement,
} from './match.js';
export { compareRanks, rankOf } from './rank.js';
export { recognise, type Recognised } from './ordinary/recognise.js';
export {
  proposedSource,
  requirementBy,
  type MapRequirement,
  requirementOf,
  type NoRequirement,
  type RequirementSource,
} from './requirement.js';
export { kindsThatDo } from './ordinary/kinds-that-do.js';
export { lengthOfBits } from './pair-bits.js';
export { PLAIN_RULES } from './fit/fit.js';
export { compilePart, MAKING_VERSION, type CompiledPart } from './fit/part.js';
export { type WireDemand } from './fit/wires.js';
export { againstLaying, differencesOf, OF_THE_OLD_ONE, WANTS_REASON } from './differ/differences.js';
export type { Difference, DifferenceCode } from './differ/difference.js';
export { machineDifferences } from './differ/in-machine.js';
export { STOPS_NOTHING, subjectOf, type Subject } from './differ/subject.js';
export { lossesOf } from './differ/losses.js';
export { nearMissesFor, type NearMiss } from './near-miss.js';
export { requirementByMachine, type MachineNeed } from './machine-need.js';
export { isLoosened, isOffLeftOut, refined } from './refine.js';
export { lengthsIn, oneLength } from './mechanics/length.js';
export { mechanicsAnswers, type Adapting, type MechanicsAnswer } from './mechanics/mechanics.js';
export { offerFindings, type OfferFindings } from './offer/offer.js';
export { ratingsOf } from './differ/ratings.js';
export { readBehaviour, type WrittenBehaviour, type BehaviourTrouble } from './behaviour.js';
export { laidPreset, PRESETS, type LaidPreset, type PresetName } from './ordinary/presets.js';

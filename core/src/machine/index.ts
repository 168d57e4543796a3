export { endKey, endsOf, layNodes, siemensOf, windingsOf, type Circuit } from './wiring/circuit.js';
export { circuitOf, machineOf, machineOfSwitch, type Machine } from './wiring/machine.js';
export {
  AT_REST,
  AT_WORK,
  isUnread,
  pinsOf,
  UNREAD,
  type MachineHandle,
  type SwitchHandle,
  type Members,
} from './wiring/handles.js';
export { contactsOfCoil } from './wiring/coils.js';
export { placeOfNode } from './wiring/places.js';
export { drawnCircuit, drawnContacts, drawnMachine, type Drawn } from './wiring/drawn.js';
export { contactsOfNets } from './power/contacts.js';
export { besideKey, type LoadDoes, type LoadState } from './power/load-state.js';
export { isSignal, type Signal, type SignalState } from './power/signals.js';
export { powered } from './power/settled.js';
export { isNote, type MeetingKind } from './power/meeting.js';
export { sourcesOf, type Source } from './wiring/sources.js';
export { inSetting, wiredTerminals, type InSetting, type Met } from './power/in-setting.js';
export { carryingOf, joinName } from './power/carrying.js';
export { contactsWithPart, laidPart, type LaidPart } from './power/part-contacts.js';
export { switchInMachine } from './power/switch-in-machine.js';
export {
  combinationsOf,
  isBarred,
  inCombinations,
  settingOf,
  standingsAt,
  type Combination,
} from './standing/combinations.js';
export { AS_MAPPED, AS_SHOULD, withNets, withPart, type InPlace } from './standing/in-place.js';
export { healthyIn, healthyOf } from './standing/healthy.js';
export { behaviourOf, type HandleSettings, type LoadBehaviour } from './standing/behaviour.js';
export { whatMatters, type Box, type Matters, type NoMatters } from './standing/matters.js';
export { guarding, GUARDING_CASES } from './guards.js';
export type { Hazard } from './hazards/hazard.js';
export { hazardsOf, type FoundHazard } from './hazards/hazards-of.js';
export { inEverySetting } from './hazards/in-every-setting.js';
export {
  comesAndGoes,
  complaintOf,
  evidenceOf,
  huntIn,
  faultModel,
  isOfSwitch,
  isUnsteady,
  LOAD_COMPLAINTS,
  lookKey,
  nextTest,
  NO_EVIDENCE,
  NOTHING_FOUND,
  passedByMeter,
  rankFaults,
  readingsOf,
  SEEN,
  seenBefore,
  seenOf,
  toldOf,
  withHandleAt,
  SURE,
  type Hunt,
  type HuntEvidence,
  type Fault,
  type FaultModel,
  type FoundFaults,
  type Healthy,
  type LikelyFault,
  type LoadComplaint,
  type NextTest,
  type Observation,
  type PartTried,
  type RankedFault,
} from './hunt/index.js';
export {
  askedSources,
  SOURCE_ANSWERS,
  sourcesAnswered,
  type AskedSources,
  type SourceAnswer,
} from './wiring/source-answers.js';

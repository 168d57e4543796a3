export {
  endKey,
  endsOf,
  halfSaidOf,
  layNodes,
  machineOf,
  siemensOf,
  windingsOf,
  type MachineLead,
  type Machine,
} from './machine.js';
export { contactsAsMapped, contactsAsTable, contactsOfNets, type ContactsAt } from './contacts.js';
export { NOT_KNOWN, type LoadDoes, type LoadState } from './load-state.js';
export { powered } from './power.js';
export { inSetting, wiredTerminals, type InSetting } from './in-machine.js';
export { inPassing, inStanding, type Hazard, type HandleStop } from './hazards.js';
export { carryingOf, joinName } from './carrying.js';
export { inEverySetting, type InEverySetting } from './whole.js';
export { contactsWithPart, laidPart, type LaidPart } from './part-contacts.js';
export {
  comesAndGoes,
  complaintOf,
  evidenceOf,
  faultModel,
  foundFaults,
  isOfSwitch,
  isUnsteady,
  LOAD_COMPLAINTS,
  lookKey,
  nextTest,
  NO_EVIDENCE,
  NOTHING_FOUND,
  pointOfNode,
  rankFaults,
  readingsOf,
  SEEN,
  seenOf,
  SURE,
  toldByPath,
  withTold,
  workedOf,
  type ContactRead,
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
  type Probed,
  type RankedFault,
  type Worked,
} from './hunt/index.js';
export { whatMatters, type Box, type Matters, type NoMatters } from './matters.js';
export { healthyOf } from './healthy.js';
export { switchInMachine } from './switch-in-machine.js';
export { drawnContacts, drawnMachine, type Drawn } from './drawn.js';

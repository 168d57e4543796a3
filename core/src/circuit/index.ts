export {
  endKey,
  endsOf,
  halfSaidOf,
  layNodes,
  machineOf,
  siemensOf,
  windingsOf,
  type Lead,
  type Machine,
} from './machine.js';
export { contactsAsMapped, contactsAsTable, contactsOfNets, standsOf, type ContactsAt } from './contacts.js';
export { LOAD_DOES, NOT_KNOWN, type LoadDoes, type LoadState } from './load-state.js';
export { powered, type MachineFault, type Powered } from './power.js';
export { inSetting, wiredTerminals, type InSetting } from './in-machine.js';
export { hazardsOf, inPassing, inStanding, type Hazard, type MakesBefore, type Standing } from './hazards.js';
export { carryingOf, joinName, type Carrying } from './carrying.js';
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
  joinedOf,
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
  showsOf,
  singleFaults,
  SURE,
  toldByPath,
  withTold,
  workedOf,
  type ContactRead,
  type Evidence,
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
  type Seen,
  type Worked,
} from './hunt/index.js';
export {
  everyPartition,
  MOST_WIRED,
  whatMatters,
  type Box,
  type Matters,
  type NoMatters,
} from './matters.js';
export { healthyOf } from './healthy.js';
export { switchInMachine, type SwitchInMachine } from './switch-in-machine.js';
export { drawnContacts, drawnMachine, type Drawn } from './drawn.js';

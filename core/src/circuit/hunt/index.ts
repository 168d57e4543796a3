export { complaintOf, LOAD_COMPLAINTS, type LoadComplaint } from './complaint.js';
export {
  isUnsteady,
  NO_EVIDENCE,
  type ContactRead,
  type HuntEvidence,
  type PartTried,
  type Probed,
  type Worked,
} from './evidence.js';
export { evidenceOf, pointOfNode, readingsOf, toldByPath, withTold, workedOf } from './evidence-of.js';
export { foundFaults, NOTHING_FOUND, type FoundFaults, type LikelyFault } from './found-faults.js';
export { comesAndGoes, isOfSwitch, type Fault } from './fault.js';
export { faultModel, type FaultModel } from './fault-model.js';
export type { Healthy } from './healthy-setting.js';
export { nextTest, SURE, type NextTest } from './next-test.js';
export { rankFaults, type RankedFault } from './rank.js';
export { lookKey, SEEN, seenOf, type Observation } from './seen.js';

export {
  chosenOf,
  proposedWay,
  refitOf,
  wayOf,
  type LaidWire,
  type Refit,
  type RefitPosition,
} from './refit.js';
export { isTicked, transferCard, type CardLine, type TransferCard } from './transfer.js';
export { benchOf, joinedWith, mistakesOf, nodesOf, type Bench, type Mistake } from './mistakes.js';
export {
  checkOf,
  likelyMistakes,
  splittingReading,
  type Check,
  type CheckDone,
  type CheckReading,
} from './check.js';
export { coverOf, type Cover } from './cover.js';
export { functionFaults, insteadOf, type DoesInstead, type FunctionFaults } from './function-faults.js';
export { functionChecks, type FunctionCheck } from './function-test.js';
export {
  isWithin,
  LEAST_DOUBLE_INSULATION,
  LEAST_INSULATION,
  MOST_EARTH,
  supplyOf,
  wantedBeforePower,
  type WantedRecord,
} from './before-power.js';
export { bypasses, type Bypass, type BypassRefusal } from './bypass.js';
export { keptReadings, keptUnder } from './kept-readings.js';
export {
  checkStanding,
  isWholeSignature,
  refitEvidence,
  refitStanding,
  signableRefit,
  signedRefitOf,
  type CheckStanding,
  type RefitStanding,
  type Standing,
} from './standing.js';

export { chosenOf, refitOf, wayOf, type Refit } from './refit.js';
export { isTicked, transferCard, type CardLine, type TransferCard } from './transfer.js';
export { checkBench, joinedWith, mistakesOf, type Bench, type Mistake } from './check/mistakes.js';
export { checkOf, likelyMistakes, splittingReading, type Check, type CheckReading } from './check/check.js';
export { functionFaults, insteadOf, type DoesInstead, type FunctionFaults } from './function-faults.js';
export { functionChecks, isOneByOne, stopsProved, type FunctionCheck } from './function-test.js';
export { isWithin, wantedBeforePower, type WantedRecord } from './before-power.js';
export { bypasses, type Bypass, type BypassRefusal } from './bypass.js';
export { keptReadings, keptUnder } from './kept-readings.js';
export {
  checkStanding,
  isWholeSignature,
  refitStanding,
  signableRefit,
  signedRefitOf,
  type CheckStanding,
  type RefitStanding,
} from './standing.js';
export { blindSpots, isBlind } from './blind-spots.js';

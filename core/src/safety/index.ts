export { canShock, LEAST_INSULATION, supplyOf } from './supply.js';
export { endsInSight, highestLeft, usualPoints, usualReadings, type ProofTrouble } from './proof-of-dead.js';
export {
  linesForJob,
  listProblems,
  standardLists,
  type ListLine,
  type SafetyLists,
} from './standard-list.js';
export {
  mayBeLeftOut,
  safetyStanding,
  voltsLeft,
  wantedAnswer,
  type SafetyStanding,
  type SafetyTrouble,
} from './standing.js';

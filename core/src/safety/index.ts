export {
  linesForJob,
  listProblems,
  standardLists,
  type ListLine,
  type SafetyLists,
} from './standard-list.js';
export { mayBeLeftOut, safetyStanding, wantedAnswer, type SafetyTrouble } from './standing.js';

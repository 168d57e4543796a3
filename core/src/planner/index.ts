export { createDesk, type DeskAnswer } from './ahead/desk.js';
export {
  followUpsOf,
  forecastCourse,
  foreseenAsk,
  supposedJoins,
  type Expected,
  type FollowUps,
} from './ahead/forecast.js';
export { learntChance } from './chance/chance.js';
export { experienceOf } from './chance/experience.js';
export { FEATURES, featuresOf } from './chance/features.js';
export { likenessOf } from './chance/likeness.js';
export { bend, priorChance } from './chance/prior.js';
export { answerTo } from './field/answer.js';
export { fieldOf } from './field/field-of-map.js';
export { copyField, isUnknown } from './field/field.js';
export { impliedBySounded } from './field/sweep.js';
export { clipChangeFor, clipTouch, type ClipChange } from './hands/clips.js';
export { handleAt, handleLeftAt } from './hands/handle.js';
export { costOf, EMPTY_HANDS, ORDINARY_HANDS, type HandCosts, type Hands } from './hands/hands.js';
export { checkDue, doubtfulActs, type CheckDue } from './hands/meter-check.js';
export type { Move } from './hands/move.js';
export { mostLeft, mostLeftIn } from './next/most-left.js';
export { plainPlan, planNext, type Outlook, type Plan } from './next/plan.js';
export { returnSweep, returnWanted } from './next/return-sweep.js';
export { firstSuspect, lookedEnough } from './next/enough.js';
export { rankSuspects, suspectClips, type Suspect } from './next/suspects.js';
export { readTheSame, tellTaleOf } from './next/tell-tale.js';
export { frameAsk } from './next/to-frame.js';
export { takeMove, type RecheckBoard, type RecheckSetting } from './recheck/recheck-board.js';
export { isRechecked, recheckCourse, recheckForecast, type RecheckCost } from './recheck/recheck-plan.js';
export { recheckWanted } from './recheck/recheck.js';
export { approachOf, costsOf, holdsItself, type Reason } from './schools/approach.js';
export { byTime } from './schools/by-time.js';
export { agrees, certify, type Hypothesis } from './schools/certify.js';
export { blankField, runCourse } from './schools/course.js';
export { ladder } from './schools/ladder.js';
export { namedPairs } from './schools/named-pairs.js';
export { likelyFirst, pairFirst, positionFirst } from './schools/plain-schools.js';
export { workingPairs } from './schools/working-pairs.js';

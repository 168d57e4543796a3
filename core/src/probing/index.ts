export type { Act, ActName } from './act.js';
export { advance } from './advance.js';
export { answersTo, type Answer, type Label, type PlainLabel } from './answers-to.js';
export { readPairs } from './entry.js';
export { idleHands, type Hands } from './hands.js';
export { KEY_TABLE, keyName, pressed, type Does, type KeyLine, type Panel } from './keys.js';
export { nextProbe, type Measured, type Measurement, type Meter, type Probe } from './measurement.js';
export type { Message } from './message.js';
export { mapMoment, momentOf, wantedAsk, type MapMoment, type Moment, type Scene } from './moment.js';
export { settlingOf, type Settling } from './settling.js';
export type { Step } from './step.js';
export {
  asksAgain,
  betweenBands,
  comesFromOtherSide,
  isHeldAsk,
  isJoin,
  isMany,
  lastReadInOhms,
  sameTask,
  standsIn,
  type Found,
  type Sense,
  type Task,
} from './task.js';
export { planBegins, planHeard, planLate, type Beside, type NextPlan } from './next-plan.js';
export { nameOfTask } from './measurement.js';

export type { Act } from './act.js';
export {
  capture,
  probeOf,
  swept,
  sweepOf,
  type Swept,
  type SweptCue,
  type SweptSignal,
  captureWired,
  heldByWire,
  idleWired,
  wiredFor,
  type WiredCapture,
  type WiredSignal,
  heldByEar,
  probeNow,
  hearsFor,
  idleCapture,
  type Aside,
  type CaptureSignal,
} from './capture/index.js';
export { advance } from './advance.js';
export { answersTo, type Answer, type Label, type PlainLabel } from './answers-to.js';
export { readPairs } from './entry.js';
export { idleHands, type ProbingHands } from './hands.js';
export { ANSWER_KEYS, KEY_TABLE, keyName, pressed, type Does, type Panel } from './keys.js';
export { nextProbe, type Measurement, type Meter, type Probe } from './measurement.js';
export type { Message } from './message.js';
export { mapMoment, momentOf, wantedAsk, type MapMoment, type Moment, type Scene } from './moment.js';
export { settlingOf } from './settling.js';
export { asksAgain, isHeldAsk, isJoin, lastReadInOhms, standsIn, type Sense, type Task } from './task.js';
export { planBegins, planHeard, planLate, type NextPlan } from './next-plan.js';
export { nameOfTask } from './measurement.js';

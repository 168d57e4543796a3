export { capture, idleCapture, type Aside, type CaptureSignal } from './capture.js';
export { hearsFor, heldByEar } from './hears-for.js';
export { probeNow, probeOf } from './probe-now.js';
export {
  captureWired,
  heldByWire,
  idleWired,
  wiredFor,
  type WiredCapture,
  type WiredSignal,
} from './wired.js';
export { swept, sweepOf, type Swept, type SweptCue, type SweptSignal } from './swept.js';

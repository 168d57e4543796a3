export { earFrame, FRAME_MS, levelOf, strongestPitch, toneShare, type EarFrame } from './frame.js';
export { hear, quietEar, type EarSignal } from './onsets.js';
export { taughtBy, type NotTaught, type Taught, type TaughtPiece } from './taught.js';

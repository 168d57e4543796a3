export type { Designation } from './designation.js';
export { decodeMarking } from './marking.js';
export type { Piece, PieceCode } from './piece.js';
export { decodeTranscription } from './transcription.js';
export { americanGauge, loopOhms } from './wire-gauge.js';
export { fullLoadAmps, LOCKED_ROTOR } from './horsepower.js';

export type { Designation } from './designation.js';
export { decodeMarking, type Piece, type PieceCode } from './marking.js';
export { decodeTranscription } from './transcription.js';
export { loopOhms } from './wire-gauge.js';

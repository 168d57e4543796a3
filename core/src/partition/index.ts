export * from './partition.js';
export * from './pattern.js';
export * from './pattern-of-known.js';
export * from './ordinary.js';
export { cellOf, pairCell, PairMarks } from './pair-marks.js';

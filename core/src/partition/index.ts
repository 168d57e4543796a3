export { isomorphism } from './isomorphism.js';
export { cellOf, pairCell, PairMarks } from './pair-marks.js';
export {
  blocks,
  discrete,
  join,
  meet,
  partitionFromGroups,
  partitionOf,
  rank,
  type Partition,
} from './partition.js';
export { patternOfKnown } from './pattern-of-known.js';
export { bestRelabelling, type Relabelling } from './relabelling.js';
export { poles, relabel, type Pattern } from './pattern.js';

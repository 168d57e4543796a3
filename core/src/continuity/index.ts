export { clipsOf, type Clips, type ClipUse } from './clips.js';
export { unprovedUses } from './clip-doubt.js';
export { edgeBlocks } from './blocks-of-graph.js';
export type { Contradiction } from './contradiction.js';
export { isComplete } from './coverage.js';
export { inferFrom, without } from './evidence-set.js';
export { ASSUMED_APART, isSettled, type Fact } from './fact.js';
export type { Link } from './link.js';
export { createMapper, deriveMap, type SwitchMap } from './map.js';
export {
  areApart,
  copyState,
  emptyState,
  hold,
  inferDeeply,
  merge,
  netOf,
  netsOfState,
  propagate,
  type Clause,
  type NetState,
} from './net-state.js';
export { prove } from './proof.js';
export { factAt, type LookAgain, type Settled } from './settled.js';

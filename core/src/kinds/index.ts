export { exampleKinds, FAMILIES, isWhole, kindsOf } from './all-kinds.js';
export type { Kind, KindCode, WholeCode } from './kind.js';
export { poleKind, sameKind, starKind, type PoleKind } from './pole-kind.js';
export { starOf, type Star } from './star.js';
export { wholeIn } from './whole.js';

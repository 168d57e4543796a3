export { exampleKinds, FAMILIES, isWhole, kindsOf } from './all-kinds.js';
export type { ShownCode } from './codes.js';
export type { Kind, KindCode, WholeCode } from './kind.js';
export { poleKind, sameKind, starKind, type PoleKind } from './pole-kind.js';
export { starOf, type Star } from './star.js';
export { wholeIn, type Whole } from './whole.js';

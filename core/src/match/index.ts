export * from './relation.js';
export * from './symmetry.js';
export * from './embedding.js';
export * from './match.js';
export * from './requirement.js';
export * from './recognise.js';
export * from './rank.js';

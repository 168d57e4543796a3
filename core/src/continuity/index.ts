export * from './fact.js';
export * from './link.js';
export * from './blocks-of-graph.js';
export * from './contradiction.js';
export * from './settle.js';
export * from './proof.js';
export * from './coverage.js';
export * from './map.js';

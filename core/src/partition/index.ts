export * from './partition.js';
export * from './pattern.js';
export * from './known-pattern.js';
export * from './ordinary.js';

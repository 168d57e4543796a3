export * from './effective.js';
export * from './proposals.js';

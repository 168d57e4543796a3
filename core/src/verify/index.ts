export * from './compare.js';
export * from './line-up.js';

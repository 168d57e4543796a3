export * from './preset.js';
export * from './link-cost.js';
export * from './verdict.js';
export * from './next-test.js';
export * from './cord.js';

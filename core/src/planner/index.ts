export * from './position-first.js';
export * from './plan.js';
export * from './answer.js';
export * from './handle.js';
export * from './recheck.js';

export * from './resistance.js';
export * from './directed.js';

export * from './resistance.js';

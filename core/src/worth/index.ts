export * from './sum.js';

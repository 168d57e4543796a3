export * from './quantity.js';
export * from './evidence.js';
export * from './instrument.js';
export * from './tape.js';

export * from './amperes.js';
export * from './designation.js';
export * from './category.js';
export * from './wire-gauge.js';
export * from './marking.js';
export * from './transcription.js';

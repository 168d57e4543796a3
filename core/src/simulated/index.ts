export * from './simulated-switch.js';
export * from './simulated-meter.js';
export * from './truthful-hands.js';

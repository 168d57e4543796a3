export * from './simulated-switch.js';
export * from './simulated-meter.js';
export * from './truthful-hands.js';
export * from './faults.js';
export * from './surprise.js';
export * from './story.js';
export * from './outcome.js';
export * from './simulate-pattern.js';
export { simulatedSwitchSchema } from './simulated-schema.js';

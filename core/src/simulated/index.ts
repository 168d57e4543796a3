export type { ContactFault, MeterFaults, SimulatedPart } from './faults.js';
export { outcomeOf, type HiddenFault, type Outcome } from './outcome.js';
export { simulatePattern } from './simulate-pattern.js';
export { simulatedCycles } from './simulated-cycles.js';
export { simulatedInstrument } from './simulated-instrument.js';
export { simulatedSwitchSchema } from './simulated-schema.js';
export { simulateKnown, type SimulatedSwitch } from './simulated-switch.js';
export { withFault, withSurprises, type SurpriseKind } from './surprise.js';
export { truthfulValues } from './truthful-hands.js';

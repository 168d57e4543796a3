export { effectiveOhms, type Conducting } from './effective.js';
export { resistanceWithDiodes, type Diode } from './directed.js';
export { solveLinear } from './linear.js';
export { resistanceBetween, type Resistance } from './resistance.js';

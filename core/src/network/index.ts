export { resistanceWithDiodes, type Diode } from './directed.js';
export { resistanceBetween, type Resistance } from './resistance.js';

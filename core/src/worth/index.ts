export { worthSum, type TurningPoint } from './sum.js';

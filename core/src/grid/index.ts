export { Ints, Reals } from './cells.js';
export { BitSet, onesIn } from './bit-set.js';

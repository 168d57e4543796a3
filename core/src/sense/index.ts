export {
  isLeak,
  isLeakOhms,
  looksAgain,
  middleHint,
  type ReadingEvidence,
  type MiddleHint,
} from './reading-evidence.js';
export type { Instrument } from './instrument.js';
export { quantityOf, uncertaintyOf, type Quantity } from './quantity.js';
export {
  extendTape,
  lastCheck,
  readTape,
  type LineStanding,
  type TapeLine,
  type TapeMemory,
} from './tape.js';

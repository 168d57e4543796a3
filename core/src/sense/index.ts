export { isLeak, isLeakOhms, looksAgain, middleHint, type Evidence, type MiddleHint } from './evidence.js';
export type { Instrument } from './instrument.js';
export { quantityOf, uncertaintyOf, type Quantity } from './quantity.js';
export { extendTape, lastCheck, readTape, type Standing, type TapeLine, type TapeMemory } from './tape.js';

export { compareWithExpected, type ComparedCell, type Comparison } from './compare.js';
export { lineUp } from './line-up.js';

export { cordLoop } from './cord.js';
export { inSeries } from './link-cost.js';
export { nextTest } from './next-test.js';
export { layPath, PATH_PRESETS, type PathPreset } from './preset.js';
export {
  pathVerdict,
  supplyPathOf,
  type LinkState,
  type PathOutcome,
  type PathVerdict,
  type SupplyPath,
} from './verdict.js';

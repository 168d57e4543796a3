export { systemOf, type System } from './system.js';
export {
  AT_REST,
  AT_WORK,
  isUnread,
  pinsOf,
  readableOf,
  UNREAD,
  type Members,
  type SystemHandle,
} from './handles.js';
export {
  combinationsOf,
  healthySystem,
  inCombinations,
  settingOf,
  standingsAt,
  type Combination,
  type FactsOf,
} from './combinations.js';
export { systemEvidence, systemPointOf } from './evidence.js';
export { behaviourOf, type LoadBehaviour, type HandleSettings } from './behaviour.js';
export { systemHazards, type SystemHazard } from './hazards.js';

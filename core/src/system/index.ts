export { systemOf, type System } from './system.js';
export {
  AT_REST,
  AT_WORK,
  handlesOf,
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
  MOST_COMBINATIONS,
  settingOf,
  standingsAt,
  SystemContacts,
  type Combination,
  type FactsOf,
} from './combinations.js';
export { systemEvidence, systemPointOf } from './evidence.js';
export { behaviourOf, type Behaviour, type Part } from './behaviour.js';
export { MOST_PASSED, systemHazards, type SystemHazard } from './hazards.js';

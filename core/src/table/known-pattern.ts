import type { SwitchMap } from '../continuity/index.js';
import type { Pattern } from '../partition/index.js';

/** The joins that are known, as a pattern over all places; what is disputed or unknown counts as not joined. */
export function knownPattern(map: SwitchMap): Pattern {
  return [...map.settings.values()].map(({ settled }) => settled.nets);
}

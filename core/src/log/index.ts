export * from './event.js';
export {
  ACTS_OF,
  DEED_KINDS,
  deedSchema,
  isDeedKind,
  isUndoable,
  kindOf,
  looksBack,
  type Deed,
  type DeedKind,
  type DeedOf,
} from './deed.js';
export type { BodyOf, Screen } from './kinds/define-kind.js';
export { ageOf, upgradeEvent, versionOf } from './upgrade.js';
export * from './log.js';
export * from './writer.js';
export * from './references.js';
export * from './stranded.js';
export * from './notebook.js';
export * from './kinds/reading.js';
export * from './kinds/value.js';
export * from './kinds/prompt.js';
export * from './kinds/explanations.js';
export * from './kinds/meter.js';
export * from './kinds/approach.js';
export * from './kinds/expected.js';
export * from './kinds/chosen.js';
export * from './kinds/photo.js';
export * from './kinds/intake.js';
export * from './kinds/worth.js';
export * from './kinds/safety.js';
export * from './kinds/supply-path.js';
export * from './kinds/wire.js';
export * from './kinds/strip.js';
export * from './kinds/mechanics.js';

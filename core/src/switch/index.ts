export {
  ACTUATOR_FORMS,
  type Actuator,
  type ActuatorForm,
  type ClosedBy,
  type Pose,
  type Position,
} from './actuator.js';
export { CHANGES } from './changes/all-changes.js';
export {
  applyChange,
  CHANGE_NAMES,
  changeSchema,
  checkChange,
  type StructureChange,
} from './changes/structure-change.js';
export { addedHandle, addedPosition, addedTerminal } from './growing.js';
export { angleOf } from './handle-angle.js';
export { springSuggested } from './springs.js';
export {
  newIdFrom,
  uuidFromBytes,
  type ActuatorId,
  type DeviceId,
  type EntryId,
  type EventId,
  type JobId,
  type LineId,
  type LinkId,
  type NodeId,
  type MarkingId,
  type NewId,
  type PartId,
  type PhotoId,
  type PositionId,
  type PromptId,
  type ReadingId,
  type RecordId,
  type SettingId,
  type SisterId,
  type StepId,
  type OfferId,
  type SourceId,
  type SupplyId,
  type LoadId,
  type PinnedDeviceId,
  type TerminalId,
  type TestId,
  type WireId,
} from './id.js';
export { knownSwitchSchema, type KnownSwitch } from './known-switch.js';
export { hasPartBehind, inPattern, TERMINAL_LOOKS, type TerminalLook } from './terminal.js';
export { readLabels, type LabelList } from './label-list.js';
export {
  PLAIN_LAYOUTS,
  spotIn,
  type Layout,
  type PlacedTerminal,
  type PlainLayout,
  type Side,
  type Spot,
} from './layout.js';
export { nameOfSetting, settingName } from './setting-name.js';
export { describeSwitch, newPosition, newTerminal, settingAt } from './new-switch.js';
export { readAngle, readKeys } from './pose-entry.js';
export type { Problem, ProblemCode } from './problem.js';
export { seededRandom, shuffled } from './random.js';
export type { Setting } from './setting.js';
export {
  contactTerminals,
  EMPTY_STRUCTURE,
  allPositionsClosed,
  positionsOf,
  requiredSettings,
  settingIn,
  terminalNamed,
  type Structure,
} from './structure.js';
export { TERMINAL_ROLES, type Terminal, type TerminalRole } from './terminal.js';
export { partFactsSchema, RATED_FOR, type PartFacts } from './part-facts.js';
export { mergedEntry, sameMakersNumber } from './merged-entry.js';

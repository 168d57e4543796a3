export * from './id.js';
export * from './random.js';
export * from './problem.js';
export * from './terminal.js';
export * from './actuator.js';
export * from './setting.js';
export * from './layout.js';
export * from './structure.js';
export {
  applyChange,
  CHANGE_NAMES,
  changeSchema,
  checkChange,
  type ChangeName,
  type ChangeNamed,
  type StructureChange,
} from './changes/structure-change.js';
export { CHANGES } from './changes/all-changes.js';
export type { ChangeOf } from './changes/define-change.js';
export * from './growing.js';
export { readAngle, readKeys } from './pose-entry.js';
export { angleOf } from './handle-angle.js';
export * from './label-list.js';
export * from './known-switch.js';
export * from './new-switch.js';

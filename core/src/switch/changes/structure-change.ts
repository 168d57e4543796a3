import { unionOf } from '../../schema/index.js';
import type { Problem } from '../problem.js';
import type { Structure } from '../structure.js';
import { CHANGES } from './all-changes.js';
import type { ChangeKind } from './define-change.js';

export type ChangeName = keyof typeof CHANGES;

/** A change to what the switch is made of. */
export type StructureChange = {
  [Name in ChangeName]: (typeof CHANGES)[Name] extends ChangeKind<Name, infer Change> ? Change : never;
}[ChangeName];

/** A change of one kind. */
export type ChangeNamed<Name extends ChangeName> = Extract<StructureChange, { change: Name }>;

export const CHANGE_NAMES = Object.keys(CHANGES) as readonly ChangeName[];

export const changeSchema = unionOf<StructureChange>(
  'change',
  CHANGE_NAMES.map((name) => CHANGES[name].schema),
);

const kindOf = ({ change }: StructureChange) => CHANGES[change] as ChangeKind<ChangeName, StructureChange>;

/**
 * The structure after a change. Total: a change that names something that is not there (because its own
 * addition was undone) leaves the structure as it is.
 */
export function applyChange(structure: Structure, change: StructureChange): Structure {
  return kindOf(change).apply(structure, change);
}

/** What would be wrong with a change, made to this structure. Empty when it may be made. */
export function checkChange(structure: Structure, change: StructureChange): Problem[] {
  return kindOf(change).check(structure, change);
}

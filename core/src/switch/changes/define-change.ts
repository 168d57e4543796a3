import { object, only, type Fields, type Schema, type TypeOf } from '../../schema/index.js';
import type { Problem } from '../problem.js';
import type { Structure } from '../structure.js';

/** The data of a change: its name and its fields. */
export type ChangeOf<Name extends string, Of extends Fields> = {
  [Key in keyof ({ change: Name } & TypeOf<ReturnType<typeof object<Of>>>)]: ({ change: Name } & TypeOf<
    ReturnType<typeof object<Of>>
  >)[Key];
};

/** All that is true of one kind of change to what the switch is made of. */
export interface ChangeKind<Name extends string = string, Change = never> {
  change: Name;
  /** For the tables of the docs. */
  says: string;
  schema: Schema;
  /**
   * The structure after the change. Total: a change that names something that is not there (because its own addition was
   * undone) leaves the structure as it is.
   */
  apply(structure: Structure, change: Change): Structure;
  /** What would be wrong with the change, made to this structure; empty when it may be made. */
  check(structure: Structure, change: Change): Problem[];
}

/** Defines a kind of change; its type comes from its fields. */
export function defineChange<const Name extends string, Of extends Fields>(
  change: Name,
  kind: {
    says: string;
    fields: Of;
    apply(structure: Structure, change: ChangeOf<Name, Of>): Structure;
    check(structure: Structure, change: ChangeOf<Name, Of>): Problem[];
  },
): ChangeKind<Name, ChangeOf<Name, Of>> {
  const { says, fields, apply, check } = kind;
  return { change, says, schema: object({ change: only(change), ...fields }), apply, check };
}

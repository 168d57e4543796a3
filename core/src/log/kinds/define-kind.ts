import { object, only, type Fields, type Schema, type TypeOf } from '../../schema/index.js';
import type { KeepsOf } from './keeps.js';

/** Screens with an undo of their own: each takes back what was done on it. */
export const SCREENS = [
  'map',
  'tag',
  'intake',
  'safe',
  'path',
  'table',
  'verify',
  'match',
  'refit',
  'system',
] as const;
export type Screen = (typeof SCREENS)[number];

/** Brings the body of an event from one version of its kind to the next. */
export type BodyUpgrade = (what: Record<string, unknown>) => Record<string, unknown>;

/** The body of an event of one kind. */
export type BodyOf<Name extends string, Of extends Fields> = {
  [Key in keyof ({ kind: Name } & TypeOf<ReturnType<typeof object<Of>>>)]: ({ kind: Name } & TypeOf<
    ReturnType<typeof object<Of>>
  >)[Key];
};

/** What the definition of a kind says besides its name and its fields. */
interface Said {
  /** For the tables of the docs. */
  says: string;
  /** The screens whose undo takes it back; none: it is not an act, or a later one of its sort stands for it. */
  undo: readonly Screen[];
  /**
   * Whether a reader that knows the log so far may go on from there, or must look again at what the events before it say:
   * `extends` says nothing of earlier readings.
   */
  reading: 'extends' | 'looks back';
  /**
   * Of which state of things it is: since the switch was last worked on (`work`), or since what goes back was last chosen (`choice`); what
   * was said before is of another one. Without it, it holds on.
   */
  since?: 'work' | 'choice' | null;
  /** From which version of the body to which next one: an upgrade for each version there was. */
  upgrades?: Readonly<Record<number, BodyUpgrade>>;
}

/** All that is true of one kind of event. `Body` is what an event of it carries. */
export interface Kind<Name extends string = string, Body = unknown, Keeps = unknown> extends Required<Said> {
  kind: Name;
  /** The version of the body that is written now: 1, and one more for each upgrade. */
  version: number;
  schema: Schema;
  /** How its records are read from a log; null: not by `recordsOf`. */
  keeps: Keeps;
  /** Carries the type; never there at run time. */
  body?: Body;
}

/**
 * Defines a kind of event; the type of its body comes from its fields.
 * @example const skipped = defineKind('skipped', { says: '…', fields: { prompt: promptSchema }, undo: ['map'], reading: 'extends' })
 */
export function defineKind<
  const Name extends string,
  Of extends Fields,
  Keeps extends KeepsOf<BodyOf<Name, Of>> = null,
>(
  kind: Name,
  { fields, upgrades = {}, since = null, keeps, ...said }: Said & { fields: Of; keeps?: Keeps },
): Kind<Name, BodyOf<Name, Of>, Keeps> {
  return {
    ...said,
    since,
    keeps: (keeps ?? null) as Keeps,
    kind,
    upgrades,
    version: Object.keys(upgrades).length + 1,
    schema: object({ kind: only(kind), ...fields }),
  };
}

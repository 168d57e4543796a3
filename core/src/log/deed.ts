import { unionOf } from '../schema/index.js';
import { KINDS } from './kinds/all-kinds.js';
import { SCREENS, type Kind, type Screen } from './kinds/define-kind.js';

export type DeedKind = keyof typeof KINDS;

/** What happened. Every decision that affects what is derived is one of these. */
export type Deed = {
  [Name in DeedKind]: (typeof KINDS)[Name] extends Kind<Name, infer Body> ? Body : never;
}[DeedKind];

/** The body of an event of one kind. */
export type DeedOf<Name extends DeedKind> = Extract<Deed, { kind: Name }>;

export const DEED_KINDS = Object.keys(KINDS) as readonly DeedKind[];

/** The schema of the body of any event. */
export const deedSchema = unionOf<Deed>(
  'kind',
  DEED_KINDS.map((kind) => KINDS[kind].schema),
);

/** What a kind's definition says, whichever it is. */
export const kindOf = (kind: DeedKind): Kind => KINDS[kind];

/** Whether a text names a kind of event that this program knows. */
export const isDeedKind = (name: unknown): name is DeedKind =>
  typeof name === 'string' && Object.hasOwn(KINDS, name);

/** The kinds of event that the undo of a screen takes back. */
export const ACTS_OF = Object.fromEntries(
  SCREENS.map((screen) => [screen, new Set(DEED_KINDS.filter((kind) => kindOf(kind).undo.includes(screen)))]),
) as unknown as Readonly<Record<Screen, ReadonlySet<DeedKind>>>;

/** Whether something was done on a screen that undo can take back. The first description of a switch is no such act: */
export function isUndoable(what: Deed): boolean {
  // Without it there is nothing to come back to.
  if (what.kind === 'restructured' && what.change.change === 'described') return false;
  return kindOf(what.kind).undo.length > 0;
}

/** Whether an event changes what readings before it say, or whether they count. */
export const looksBack = ({ kind }: Deed): boolean => kindOf(kind).reading === 'looks back';

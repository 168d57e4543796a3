import fc from 'fast-check';
import { DEED_KINDS, kindOf, type Deed, type DeedKind } from '../log/index.js';
import { anyOfSchema } from './any-of-schema.js';

/** What no schema says and every writer keeps to: a switch has terminals and a setting, a handle has a position. */
function keptByWriters(deed: Deed): boolean {
  if (deed.kind !== 'restructured' || deed.change.change !== 'described') return true;
  const { terminals, settings, actuators } = deed.change;
  return (
    terminals.length >= 2 && settings.length > 0 && actuators.every(({ positions }) => positions.length > 0)
  );
}

/** Any well-formed event body of a kind, made from the kind's own schema. */
export const anyDeedOf = (kind: DeedKind): fc.Arbitrary<Deed> =>
  (anyOfSchema(kindOf(kind).schema) as fc.Arbitrary<Deed>).filter(keptByWriters);

/** Any well-formed event body. */
export const anyDeed: fc.Arbitrary<Deed> = fc.constantFrom(...DEED_KINDS).chain(anyDeedOf);

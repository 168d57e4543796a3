import type { Pattern } from '../partition/index.js';
import { polesWithContacts, type Contact } from '../table/index.js';
import type { Cause } from './cause.js';

/** Rows or wafers of terminals, each in its order: what may have been put in mirrored or turned. */
export type TerminalRows = readonly (readonly number[])[];

/** How many settings a shift is looked for: beyond that it is no detent off. */
const MOST_SHIFT = 3;

/** The contacts that make a table, over all its poles. */
export const contactsOf = (pattern: Pattern): Contact[] =>
  polesWithContacts(pattern).flatMap(({ contacts }) => contacts);

/** Every single cause that may be the one, as it applies to this table. */
export function singleCauses(pattern: Pattern, contacts: readonly Contact[], rows: TerminalRows): Cause[] {
  return [...wholeCauses(pattern, rows), ...contactCauses(pattern, contacts)];
}

/** Causes that move everything at once. */
export function wholeCauses(pattern: Pattern, rows: TerminalRows): Cause[] {
  const { length } = pattern;
  const shifts = Array.from({ length: Math.min(MOST_SHIFT, length - 1) }, (_, at) => at + 1);
  const signed = shifts.flatMap((by) => (2 * by === length ? [by] : [by, -by]));
  return [
    ...signed.map((by): Cause => ({ cause: 'shifted', by })),
    ...(length > 1 ? [{ cause: 'reversed' } as Cause] : []),
    ...rows
      .filter((row) => row.length > 2)
      .flatMap((among): Cause[] => [
        { cause: 'mirrored', among },
        ...Array.from({ length: among.length - 1 }, (_, at): Cause => ({
          cause: 'turned',
          among,
          by: at + 1,
        })),
      ]),
  ];
}

/** Causes that concern one contact, two throws, or two terminals. */
export function contactCauses(pattern: Pattern, contacts: readonly Contact[]): Cause[] {
  const size = pattern[0]?.length ?? 0;
  const closedAt = ([a, b]: Contact) => pattern.map((partition) => partition[a] === partition[b]);
  const each = contacts.flatMap((contact): Cause[] => {
    const closed = closedAt(contact);
    return [
      { cause: 'never-closes', contact },
      { cause: 'never-opens', contact },
      ...closed.map((now, setting): Cause => ({
        cause: now ? 'opens-also' : 'closes-also',
        contact,
        setting,
      })),
    ];
  });
  const pairs = Array.from({ length: size }, (_, a) =>
    Array.from({ length: size - a - 1 }, (__, at): Contact => [a, a + 1 + at]),
  ).flat();
  const known = new Set(contacts.map(String));
  return [
    ...each,
    ...pairs
      .filter((pair) => !known.has(String(pair)))
      .map((terminals): Cause => ({ cause: 'bridged', terminals })),
    ...pairs.map((terminals): Cause => ({ cause: 'swapped', terminals })),
  ];
}

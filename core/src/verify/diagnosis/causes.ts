import { relabel, type Pattern } from '../../partition/index.js';
import { polesWithContacts, type Contact } from '../../table/index.js';
import type { Cause } from './cause.js';

/** Rows or wafers of terminals, each in its order: what may have been put in mirrored or turned. */
export type TerminalRows = readonly (readonly number[])[];

/** How many settings a shift is looked for: beyond that it is no detent off. */
const MOST_SHIFT = 3;

/** The contacts that make a table, over all its poles. */
export const contactsOf = (pattern: Pattern): Contact[] =>
  polesWithContacts(pattern).flatMap(({ contacts }) => contacts);

/**
 * Sets of contacts that make the same table: they are not unique, and a fault is one of the contacts that are really there. The
 * fewest first; then the fewest with the terminals looked at from the other end, where that gives others.
 */
export function contactSets(pattern: Pattern): Contact[][] {
  const first = contactsOf(pattern);
  const size = pattern[0]?.length ?? 0;
  const turned = Array.from({ length: size }, (_, place) => size - 1 - place);
  const other = contactsOf(relabel(pattern, turned)).map(([a, b]): Contact => [
    Math.min(size - 1 - a, size - 1 - b),
    Math.max(size - 1 - a, size - 1 - b),
  ]);
  const known = new Set(first.map(String));
  return other.every((contact) => known.has(String(contact))) ? [first] : [first, other];
}

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

/** Which causes are worth listing: those that touch certain pairs and terminals. */
export interface About {
  pair: (a: number, b: number) => boolean;
  at: (setting: number, a: number, b: number) => boolean;
  end: (place: number) => boolean;
}

const ALL: About = { pair: () => true, at: () => true, end: () => true };

/** Causes that concern one contact, two throws, or two terminals; only those that touch what it is about. */
export function contactCauses(pattern: Pattern, contacts: readonly Contact[], about: About = ALL): Cause[] {
  const size = pattern[0]?.length ?? 0;
  const causes: Cause[] = [];
  const known = new Uint8Array(size * size);
  for (const contact of contacts) {
    const [a, b] = contact;
    known[a * size + b] = 1;
    if (!about.pair(a, b)) continue;
    causes.push({ cause: 'never-closes', contact }, { cause: 'never-opens', contact });
    pattern.forEach((partition, setting) => {
      if (!about.at(setting, a, b)) return;
      causes.push({ cause: partition[a] === partition[b] ? 'opens-also' : 'closes-also', contact, setting });
    });
  }
  const swaps: Cause[] = [];
  for (let a = 0; a < size; a += 1)
    for (let b = a + 1; b < size; b += 1) {
      if (known[a * size + b] === 0 && about.pair(a, b)) causes.push({ cause: 'bridged', terminals: [a, b] });
      if (about.end(a) && about.end(b)) swaps.push({ cause: 'swapped', terminals: [a, b] });
    }
  return [...causes, ...swaps];
}

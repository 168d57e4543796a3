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
  const both = shifts.flatMap((by) => [by, -by]);
  return [
    ...signed.map((by): Cause => ({ cause: 'shifted', by })),
    ...both.map((by): Cause => ({ cause: 'shifted', by, stop: true })),
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
    const closed = pattern.filter((partition) => partition[a] === partition[b]).length;
    pattern.forEach((partition, setting) => {
      if (!about.at(setting, a, b)) return;
      // Closed in one setting alone, not closing there is never closing; open in one alone, closing there is never opening.
      const isClosed = partition[a] === partition[b];
      if (isClosed ? closed === 1 : closed === pattern.length - 1) return;
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

/**
 * Odd joins and odd gaps that would explain something of what a table leaves: of each two nets that a known pair joins one, by its first
 * pair, and each terminal that a known pair parts from its net. Where a contact lies between two nets, the contact is to blame.
 */
export function oddCauses(
  table: Pattern,
  contacts: readonly Contact[],
  leaves: readonly (readonly [number, number, number])[],
): Cause[] {
  const causes: Cause[] = [];
  const seen = new Set<string>();
  const ofContacts = new Set(contacts.map(([a, b]) => `${Math.min(a, b)} ${Math.max(a, b)}`));
  const once = (key: string, cause: () => Cause) => {
    if (!seen.has(key)) causes.push(cause());
    seen.add(key);
  };
  for (const [setting, a, b] of leaves) {
    const nets = table[setting] ?? [];
    if (nets[a] === nets[b]) {
      const beside = nets.filter((net) => net === nets[a]).length;
      if (beside > 2)
        for (const terminal of [a, b])
          once(`${setting} off ${terminal}`, () => ({ cause: 'split-at', terminal, setting }));
      continue;
    }
    const between = nets.some((net, one) =>
      nets.some(
        (other, two) =>
          one < two &&
          ((net === nets[a] && other === nets[b]) || (net === nets[b] && other === nets[a])) &&
          ofContacts.has(`${one} ${two}`),
      ),
    );
    const key = [nets[a], nets[b]].toSorted((one, other) => Number(one) - Number(other)).join();
    if (!between) once(`${setting} ${key}`, () => ({ cause: 'joined-at', terminals: [a, b], setting }));
  }
  return causes;
}

import { blocks, partitionOf, poles, type Pattern } from '../partition/index.js';
import { starOf } from '../kinds/index.js';

/** A contact: two terminals of a pole that join in some settings. By place, smaller first. */
export type Contact = readonly [number, number];

/** One pole of the switch, with the contacts that make its table. */
export interface Pole {
  terminals: number[];
  /** The terminal that is in every contact, if there is one and the pole has more than one contact. */
  common: number | null;
  contacts: Contact[];
}

/** How many subsets the exact search may try before the stable heuristic answers. */
const SEARCH_LIMIT = 20000;

/**
 * The poles of a pattern with, for each, the fewest pairs whose closed ones generate the nets of every setting,
 * through a common where that costs nothing. Exact for small poles; beyond the search limit the answer is one
 * that no pair can be left out of (so still true, maybe not the fewest).
 */
export function polesWithContacts(pattern: Pattern): Pole[] {
  return poles(pattern)
    .filter((terminals) => terminals.length > 1)
    .map((terminals) => {
      const contacts = fewestContacts(pattern, terminals);
      return { terminals, contacts, common: commonOf(contacts) };
    });
}

function commonOf(contacts: readonly Contact[]): number | null {
  const [first, ...rest] = contacts;
  if (!first || rest.length === 0) return null;
  return first.find((end) => rest.every((contact) => contact.includes(end))) ?? null;
}

/** Whether these contacts, closed where both ends share a net, give exactly the nets of each setting. */
export function generates(
  pattern: Pattern,
  terminals: readonly number[],
  contacts: readonly Contact[],
): boolean {
  return pattern.every((partition) => {
    const closed = contacts.filter(([a, b]) => partition[a] === partition[b]);
    const made = partitionOf(partition.length, closed);
    return terminals.every((a) => made[a] === made[partition[a] as number]);
  });
}

function fewestContacts(pattern: Pattern, terminals: number[]): Contact[] {
  // All terminals of a pole hang together, so it takes at least one contact less than there are terminals: a star has just those.
  const star = starOf(pattern, terminals);
  if (star)
    return inReadingOrder(star.throws.map(({ terminal }): Contact => inPlaceOrder(star.common, terminal)));
  const ranked = rankedPairs(pattern, terminals);
  const forced = ranked.filter(([a, b]) =>
    pattern.some((partition) => partition[a] === partition[b] && blockSize(partition, a) === 2),
  );
  const free = ranked.filter((pair) => !forced.includes(pair));
  let tried = 0;
  const least = Math.max(0, terminals.length - 1 - forced.length);
  for (let extra = least; extra <= free.length; extra += 1) {
    for (const chosen of subsets(free, extra)) {
      tried += 1;
      if (tried > SEARCH_LIMIT) return reverseDelete(pattern, terminals, ranked);
      const contacts = [...forced, ...chosen];
      if (generates(pattern, terminals, contacts)) return inReadingOrder(contacts);
    }
  }
  return inReadingOrder(ranked);
}

function blockSize(partition: Pattern[number], member: number): number {
  return partition.filter((root) => root === partition[member]).length;
}

/** Pairs that join somewhere; first those through the terminal that joins the most others, then the oftenest closed. */
function rankedPairs(pattern: Pattern, terminals: readonly number[]): Contact[] {
  const pairs: { pair: Contact; times: number }[] = [];
  const degree = new Map<number, number>();
  terminals.forEach((a, at) => {
    for (const b of terminals.slice(at + 1)) {
      const times = pattern.filter((partition) => partition[a] === partition[b]).length;
      if (times === 0) continue;
      pairs.push({ pair: [a, b], times });
      for (const end of [a, b]) degree.set(end, (degree.get(end) ?? 0) + 1);
    }
  });
  const hub = ({ pair: [a, b] }: { pair: Contact }) => Math.max(degree.get(a) ?? 0, degree.get(b) ?? 0);
  return pairs
    .sort(
      (one, other) =>
        hub(other) - hub(one) ||
        other.times - one.times ||
        one.pair[0] - other.pair[0] ||
        one.pair[1] - other.pair[1],
    )
    .map(({ pair }) => pair);
}

function reverseDelete(
  pattern: Pattern,
  terminals: readonly number[],
  ranked: readonly Contact[],
): Contact[] {
  let kept = [...ranked];
  for (const pair of ranked.toReversed()) {
    const without = kept.filter((other) => other !== pair);
    if (generates(pattern, terminals, without)) kept = without;
  }
  return inReadingOrder(kept);
}

const inPlaceOrder = (a: number, b: number): Contact => (a < b ? [a, b] : [b, a]);

function inReadingOrder(contacts: readonly Contact[]): Contact[] {
  return contacts.toSorted((one, other) => one[0] - other[0] || one[1] - other[1]);
}

/** All subsets of a given size, in the order of the items. */
function* subsets<Item>(items: readonly Item[], size: number, from = 0): Generator<Item[]> {
  if (size === 0) {
    yield [];
    return;
  }
  for (let at = from; at <= items.length - size; at += 1) {
    for (const rest of subsets(items, size - 1, at + 1)) yield [items[at] as Item, ...rest];
  }
}

/** Terminals that join nothing in any setting. */
export function freeTerminals(pattern: Pattern): number[] {
  return poles(pattern).flatMap((pole) => (pole.length === 1 ? pole : []));
}

/** The nets of two or more terminals in one setting. */
export function netsIn(partition: Pattern[number]): number[][] {
  return blocks(partition).filter((block) => block.length > 1);
}

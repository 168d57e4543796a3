import type { Pattern } from '../partition/index.js';
import type { Contact, Pole } from './contacts.js';

/** The moving piece of a pole: its common and the throw it lies on in each setting; null where it lies on none. */
export interface MovingContact {
  common: number;
  throws: number[];
  /** By setting: the throws it is closed to. Several where it bridges. */
  on: number[][];
}

/** Poles with more terminals than this are covered by the heuristic. */
const MOST_EXACT = 14;

/**
 * The moving contacts of a pole: commons are a smallest set of terminals such that every contact has one of them at an end,
 * preferably so that no common has two of its contacts closed at once; ties by how many contacts go through it, then by
 * order. Two of them may share a throw. Exact up to 14 terminals, else the terminal of most contacts first.
 */
export function movingContacts(pattern: Pattern, { terminals, contacts }: Pole): MovingContact[] {
  const commons =
    terminals.length <= MOST_EXACT ? smallestCover(pattern, terminals, contacts) : greedy(contacts);
  return dealt(commons, contacts).map(({ common, contacts: mine }) => ({
    common,
    throws: mine.map((contact) => otherEnd(contact, common)),
    on: pattern.map((partition) =>
      mine.filter(([a, b]) => partition[a] === partition[b]).map((contact) => otherEnd(contact, common)),
    ),
  }));
}

const otherEnd = ([a, b]: Contact, end: number): number => (a === end ? b : a);

/** A contact between two commons goes to the one that has more of them, or comes first. */
function dealt(commons: readonly number[], contacts: readonly Contact[]) {
  const degree = (common: number) => contacts.filter((contact) => contact.includes(common)).length;
  const rank = commons.toSorted((a, b) => degree(b) - degree(a) || a - b);
  const left = new Set(contacts);
  return rank
    .map((common) => {
      const mine = [...left].filter((contact) => contact.includes(common));
      for (const contact of mine) left.delete(contact);
      return { common, contacts: mine };
    })
    .toSorted((one, other) => one.common - other.common);
}

function smallestCover(
  pattern: Pattern,
  terminals: readonly number[],
  contacts: readonly Contact[],
): number[] {
  const degree = (place: number) => contacts.filter((contact) => contact.includes(place)).length;
  let best: { cover: number[]; clashes: number; size: number; degrees: number } | null = null;
  for (let bits = 1; bits < 1 << terminals.length; bits += 1) {
    const cover = terminals.filter((_, at) => (bits >> at) & 1);
    if (best && cover.length > best.size) continue;
    if (!contacts.every((contact) => contact.some((end) => cover.includes(end)))) continue;
    const clashes = clashesOf(pattern, cover, contacts);
    const degrees = cover.reduce((sum, place) => sum + degree(place), 0);
    const better =
      best === null ||
      cover.length < best.size ||
      clashes < best.clashes ||
      (clashes === best.clashes && degrees > best.degrees);
    if (better) best = { cover, clashes, size: cover.length, degrees };
  }
  return best?.cover ?? [];
}

/** How often a common has more than one of its contacts closed, over all settings. */
function clashesOf(pattern: Pattern, cover: readonly number[], contacts: readonly Contact[]): number {
  return dealt(cover, contacts).reduce(
    (sum, { contacts: mine }) =>
      sum +
      pattern.filter((partition) => mine.filter(([a, b]) => partition[a] === partition[b]).length > 1).length,
    0,
  );
}

function greedy(contacts: readonly Contact[]): number[] {
  const left = new Set(contacts);
  const commons: number[] = [];
  while (left.size > 0) {
    const degree = new Map<number, number>();
    for (const contact of left) for (const end of contact) degree.set(end, (degree.get(end) ?? 0) + 1);
    const [most] = [...degree].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0] ?? [-1];
    commons.push(most);
    for (const contact of left) if (contact.includes(most)) left.delete(contact);
  }
  return commons.sort((a, b) => a - b);
}

import type { Pattern } from './pattern.js';

/** Steps after which the search gives up: 'not found' is then no proof. */
const MOST_STEPS = 20_000;

/**
 * The places that make one pattern another: `map[a]` is where terminal a of the first stands in the second; settings as
 * they are. Terminals are told apart by the sizes of their nets in each setting, then tried in turn (backtracking). null when
 * there is none, or none was found within the bound.
 */
export function isomorphism(one: Pattern, other: Pattern): number[] | null {
  const size = one[0]?.length ?? 0;
  if (one.length !== other.length || size !== (other[0]?.length ?? 0)) return null;
  const [mine, theirs] = [signatures(one), signatures(other)];
  if (mine.toSorted().join(';') !== theirs.toSorted().join(';')) return null;
  // The rarest signature first: it leaves the fewest choices.
  const rarity = (place: number) => theirs.filter((sign) => sign === mine[place]).length;
  const order = Array.from({ length: size }, (_, place) => place).sort(
    (a, b) => rarity(a) - rarity(b) || a - b,
  );
  const to = new Array<number>(size).fill(-1);
  const taken = new Set<number>();
  let steps = 0;
  const fits = (a: number, x: number, upTo: number): boolean =>
    order.slice(0, upTo).every((b) =>
      one.every((partition, at) => {
        const same = partition[a] === partition[b];
        const there = other[at] as Pattern[number];
        return same === (there[x] === there[to[b] as number]);
      }),
    );
  const place = (at: number): boolean => {
    if (at === order.length) return true;
    const a = order[at] as number;
    for (let x = 0; x < size; x += 1) {
      if (taken.has(x) || mine[a] !== theirs[x]) continue;
      if ((steps += 1) > MOST_STEPS) return false;
      if (!fits(a, x, at)) continue;
      to[a] = x;
      taken.add(x);
      if (place(at + 1)) return true;
      taken.delete(x);
      to[a] = -1;
    }
    return false;
  };
  return place(0) ? to : null;
}

/** The size of each terminal's net, setting by setting. */
function signatures(pattern: Pattern): string[] {
  const size = pattern[0]?.length ?? 0;
  const sizes = pattern.map((partition) => {
    const count = new Map<number, number>();
    for (const root of partition) count.set(root, (count.get(root) ?? 0) + 1);
    return partition.map((root) => count.get(root) ?? 0);
  });
  return Array.from({ length: size }, (_, place) => sizes.map((row) => row[place]).join());
}

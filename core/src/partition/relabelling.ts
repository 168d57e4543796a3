import type { Pattern } from './pattern.js';

/** Which terminal of a table stands for which terminal that was measured, and how well that fits. */
export interface Relabelling {
  /** By place of the measured terminal: the place in the table. */
  to: number[];
  /** Known cells, over all settings, in which it differs. */
  differs: number;
  /** Nothing fits better; false: the search was cut off, this is the best found. */
  exact: boolean;
}

/** What is known of each pair in each setting. */
type Cells = readonly (readonly (boolean | null)[])[];

/** Terminals up to which every relabelling is looked at if need be. */
const MOST_EXACT = 8;
/** Steps of the search before it is cut off, for more terminals. */
const MOST_STEPS = 60_000;

/**
 * The way to lay the terminals of a table over those that were measured so that it differs in the fewest known cells: depth
 * first, the terminals that join most first, cut off where a part is no better than the best whole. Exact up to 8 terminals.
 * Of equals the one that moves least from the order as it stands.
 * @param known joined, apart or not known: [setting][a * size + b]
 * @param pins measured places with the place in the table that they must have
 */
export function bestRelabelling(
  table: Pattern,
  known: Cells,
  pins: ReadonlyMap<number, number> = new Map(),
): Relabelling {
  const size = table[0]?.length ?? 0;
  const cost = costIn(table, known, size);
  const order = inReach(known, size, pins);
  const [mine, theirs] = [joinsOf(known, size), joinsInTable(table)];
  const unlike = (a: number, p: number) => Math.abs((mine[a] ?? 0) - (theirs[p] ?? 0));
  const same = Array.from({ length: size }, (_, place) => place);
  const pinned = new Set(pins.values());
  const to = new Array<number>(size).fill(-1);
  const used = new Array<boolean>(size).fill(false);
  const fits = [...pins].every(([a, p]) => a === p);
  const best = {
    to: fits ? same : [],
    differs: fits ? wholeCost(same, cost) : Infinity,
    moved: 0,
    exact: true,
  };
  let steps = 0;
  const choicesFor = (a: number): number[] => {
    const pin = pins.get(a);
    if (pin !== undefined) return used[pin] ? [] : [pin];
    return same.filter((p) => !used[p] && !pinned.has(p));
  };
  const place = (at: number, differs: number, moved: number): void => {
    if (at === size) {
      Object.assign(best, { to: [...to], differs, moved });
      return;
    }
    const a = order[at] as number;
    const before = order.slice(0, at);
    const tries = choicesFor(a)
      .map((p) => ({ p, now: before.reduce((sum, b) => sum + cost(a, b, p, to[b] as number), differs) }))
      .toSorted(
        (one, other) =>
          one.now - other.now ||
          unlike(a, one.p) - unlike(a, other.p) ||
          Number(one.p !== a) - Number(other.p !== a),
      );
    for (const { p, now } of tries) {
      const shift = moved + Number(p !== a);
      if (now > best.differs || (now === best.differs && shift >= best.moved)) continue;
      steps += 1;
      if (size > MOST_EXACT && steps > MOST_STEPS) {
        best.exact = false;
        return;
      }
      to[a] = p;
      used[p] = true;
      place(at + 1, now, shift);
      used[p] = false;
    }
  };
  place(0, 0, 0);
  return { to: best.to, differs: best.differs, exact: best.exact };
}

type Cost = (a: number, b: number, p: number, q: number) => number;

/** In how many settings a measured pair differs from a pair of the table. */
const costIn =
  (table: Pattern, known: Cells, size: number): Cost =>
  (a, b, p, q) => {
    let differs = 0;
    for (let setting = 0; setting < table.length; setting += 1) {
      const is = known[setting]?.[a * size + b] ?? null;
      const partition = table[setting] as Pattern[number];
      if (is !== null && is !== (partition[p] === partition[q])) differs += 1;
    }
    return differs;
  };

function wholeCost(to: readonly number[], cost: Cost): number {
  let sum = 0;
  for (let a = 0; a < to.length; a += 1)
    for (let b = a + 1; b < to.length; b += 1) sum += cost(a, b, to[a] as number, to[b] as number);
  return sum;
}

/** How often each terminal joins another, over all settings, as far as it is known. */
const joinsOf = (known: Cells, size: number): number[] =>
  Array.from({ length: size }, (_, a) =>
    known.reduce(
      (sum, cells) => sum + cells.slice(a * size, (a + 1) * size).filter((is) => is === true).length,
      0,
    ),
  );

/** The same of a table, of which everything is known. */
const joinsInTable = (table: Pattern): number[] =>
  (table[0] ?? []).map((_, p) =>
    table.reduce((sum, partition) => sum + partition.filter((root) => root === partition[p]).length - 1, 0),
  );

/** Pinned terminals first; then always the one that joins most of those before it, so that a wrong place shows at once. */
function inReach(known: Cells, size: number, pins: ReadonlyMap<number, number>): number[] {
  const joins = joinsOf(known, size);
  const order: number[] = [...pins.keys()];
  const left = new Set(joins.map((_, place) => place).filter((place) => !pins.has(place)));
  const reach = (a: number) =>
    known.reduce((sum, cells) => sum + order.filter((b) => cells[a * size + b] === true).length, 0);
  while (left.size > 0) {
    const [next] = [...left]
      .map((place) => ({ place, reach: reach(place), joins: joins[place] ?? 0 }))
      .toSorted(
        (one, other) => other.reach - one.reach || other.joins - one.joins || one.place - other.place,
      );
    if (!next) break;
    order.push(next.place);
    left.delete(next.place);
  }
  return order;
}

import { BitSet, Ints } from '../../grid/index.js';

/** Columns that together cover every row, with how many it must be at least. */
export interface Cover {
  columns: number[];
  /** No cover has fewer columns. */
  atLeast: number;
}

/** Branches are followed so far; beyond it the best so far stands, and the bound says how good it is. */
const MOST_STEPS = 20_000;

/** More columns than this are not compared with one another. */
const MOST_COMPARED = 2500;

/** Whether one of these sets holds nothing that another does not. */
const isWithin = (sets: readonly BitSet[], one: number, other: number): boolean =>
  (sets[one] as BitSet).isWithin(sets[other] as BitSet);

/** Columns that no other one covers as a whole; of alike ones the first. */
function widest(columns: readonly BitSet[]): number[] {
  const places = columns.map((_, at) => at);
  if (columns.length > MOST_COMPARED) return places;
  const sizes = new Ints(columns.map((one) => one.count()));
  const kept: number[] = [];
  for (const at of places.toSorted((a, b) => sizes.get(b) - sizes.get(a)))
    if (!kept.some((one) => isWithin(columns, at, one))) kept.push(at);
  return kept.toSorted((a, b) => a - b);
}

/** Rows that are not covered by themselves as soon as some other one is. */
function hardest(columns: readonly BitSet[], rows: number): number[] {
  const holders = Array.from({ length: rows }, (_, row) =>
    BitSet.of(
      columns.length,
      columns.flatMap((column, at) => (column.has(row) ? [at] : [])),
    ),
  );
  const sizes = new Ints(holders.map((one) => one.count()));
  const kept: number[] = [];
  const order = holders.map((_, row) => row).toSorted((a, b) => sizes.get(a) - sizes.get(b));
  for (const row of order) if (!kept.some((one) => isWithin(holders, one, row))) kept.push(row);
  return kept.toSorted((a, b) => a - b);
}

/**
 * The fewest columns that cover every row: greedy first, then a search with a bound from rows no two of which one column covers
 * (set cover by branch and bound). Each row must be in some column.
 * @param columns what each covers, as bits over `rows`
 */
export function coverOf(columns: readonly BitSet[], rows: number): Cover {
  const wide = widest(columns);
  const hard = hardest(
    wide.map((at) => columns[at] as BitSet),
    rows,
  );
  const smaller = wide.map((at) =>
    BitSet.of(
      hard.length,
      hard.flatMap((row, index) => (columns[at]?.has(row) ? [index] : [])),
    ),
  );
  const found = searched(smaller, hard.length);
  return { ...found, columns: found.columns.map((at) => wide[at] as number) };
}

/** The same of what is left once nothing stands in for anything else. */
function searched(columns: readonly BitSet[], rows: number): Cover {
  const holders = Array.from({ length: rows }, (_, row) =>
    columns.flatMap((column, at) => (column.has(row) ? [at] : [])),
  );
  const best = { columns: withoutSpare(greedy(columns, rows), columns, rows) };
  const root = apart(holders, columns, BitSet.of(rows), rows);
  let steps = 0;
  const search = (chosen: number[], covered: BitSet): void => {
    steps += 1;
    if (steps > MOST_STEPS) return;
    let row = -1;
    for (let at = 0; at < rows; at += 1)
      if (!covered.has(at) && (row < 0 || (holders[at]?.length ?? 0) < (holders[row]?.length ?? 0))) row = at;
    if (row < 0) {
      if (chosen.length < best.columns.length) best.columns = [...chosen];
      return;
    }
    if (chosen.length + apart(holders, columns, covered, rows) >= best.columns.length) return;
    const news = (at: number) => columns[at]?.countBeyond(covered) ?? 0;
    const order = (holders[row] ?? []).toSorted((one, other) => news(other) - news(one));
    for (const at of order) search([...chosen, at], covered.with(columns[at] as BitSet));
  };
  if (root < best.columns.length) search([], BitSet.of(rows));
  return { columns: best.columns, atLeast: steps > MOST_STEPS ? root : best.columns.length };
}

function greedy(columns: readonly BitSet[], rows: number): number[] {
  const covered = BitSet.of(rows);
  const chosen: number[] = [];
  for (;;) {
    let [best, most] = [-1, 0];
    columns.forEach((column, at) => {
      const more = column.countBeyond(covered);
      if (more > most) [best, most] = [at, more];
    });
    if (best < 0) return chosen;
    chosen.push(best);
    covered.addAll(columns[best] as BitSet);
  }
}

/** The same without columns that the others make needless. */
function withoutSpare(chosen: readonly number[], columns: readonly BitSet[], rows: number): number[] {
  let kept = [...chosen];
  for (const column of chosen.toReversed()) {
    const rest = kept.filter((one) => one !== column);
    const covered = BitSet.of(rows);
    for (const one of rest) covered.addAll(columns[one] as BitSet);
    if (columns[column]?.countBeyond(covered) === 0) kept = rest;
  }
  return kept;
}

/** How many rows there are of which no column covers two: so many columns it takes at least. */
function apart(
  holders: readonly (readonly number[])[],
  columns: readonly BitSet[],
  covered: BitSet,
  rows: number,
): number {
  const blocked = covered.with(BitSet.of(rows));
  let count = 0;
  const order = Array.from({ length: rows }, (_, row) => row).toSorted(
    (one, other) => (holders[one]?.length ?? 0) - (holders[other]?.length ?? 0),
  );
  for (const row of order) {
    if (blocked.has(row)) continue;
    count += 1;
    for (const column of holders[row] ?? []) blocked.addAll(columns[column] as BitSet);
  }
  return count;
}

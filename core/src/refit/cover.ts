/** Columns that together cover every row, with how many it must be at least. */
export interface Cover {
  columns: number[];
  /** No cover has fewer columns. */
  atLeast: number;
}

/** Branches are followed so far; beyond it the best so far stands, and the bound says how good it is. */
const MOST_STEPS = 20_000;

const words = (bits: number): number => Math.ceil(bits / 32);
const has = (set: Uint32Array, bit: number): boolean => ((set[bit >> 5] as number) & (1 << (bit & 31))) !== 0;

/** More columns than this are not compared with one another. */
const MOST_COMPARED = 2500;

const isWithin = (one: Uint32Array, other: Uint32Array): boolean =>
  one.every((word, at) => (word & ~(other[at] as number)) === 0);
const sizeOf = (set: Uint32Array): number => set.reduce((sum, word) => sum + countOf(word), 0);

/** Columns that no other one covers as a whole; of alike ones the first. */
function widest(columns: readonly Uint32Array[]): number[] {
  const places = columns.map((_, at) => at);
  if (columns.length > MOST_COMPARED) return places;
  const sizes = columns.map(sizeOf);
  const kept: number[] = [];
  for (const at of places.toSorted((a, b) => (sizes[b] as number) - (sizes[a] as number)))
    if (!kept.some((one) => isWithin(columns[at] as Uint32Array, columns[one] as Uint32Array))) kept.push(at);
  return kept.toSorted((a, b) => a - b);
}

/** Rows that are not covered by themselves as soon as some other one is. */
function hardest(columns: readonly Uint32Array[], rows: number): number[] {
  const holders = Array.from({ length: rows }, (_, row) =>
    bitsOf(
      columns.length,
      columns.flatMap((column, at) => (has(column, row) ? [at] : [])),
    ),
  );
  const sizes = holders.map(sizeOf);
  const kept: number[] = [];
  const order = holders.map((_, row) => row).toSorted((a, b) => (sizes[a] as number) - (sizes[b] as number));
  for (const row of order)
    if (!kept.some((one) => isWithin(holders[one] as Uint32Array, holders[row] as Uint32Array)))
      kept.push(row);
  return kept.toSorted((a, b) => a - b);
}

/** A set of so many bits with some of them set. */
export function bitsOf(size: number, set: Iterable<number>): Uint32Array {
  const bits = new Uint32Array(words(size));
  for (const bit of set) bits[bit >> 5] = (bits[bit >> 5] as number) | (1 << (bit & 31));
  return bits;
}

function countOf(word: number): number {
  let bits = word - ((word >>> 1) & 0x55555555);
  bits = (bits & 0x33333333) + ((bits >>> 2) & 0x33333333);
  return (((bits + (bits >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
}

const news = (column: Uint32Array, covered: Uint32Array): number => {
  let sum = 0;
  for (let at = 0; at < column.length; at += 1)
    sum += countOf((column[at] as number) & ~(covered[at] as number));
  return sum;
};

/**
 * The fewest columns that cover every row: greedy first, then a search with a bound from rows no two of which one column covers
 * (set cover by branch and bound). Each row must be in some column.
 * @param columns what each covers, as bits over `rows`
 */
export function coverOf(columns: readonly Uint32Array[], rows: number): Cover {
  const wide = widest(columns);
  const hard = hardest(
    wide.map((at) => columns[at] as Uint32Array),
    rows,
  );
  const smaller = wide.map((at) =>
    bitsOf(
      hard.length,
      hard.flatMap((row, index) => (has(columns[at] as Uint32Array, row) ? [index] : [])),
    ),
  );
  const found = searched(smaller, hard.length);
  return { ...found, columns: found.columns.map((at) => wide[at] as number) };
}

/** The same of what is left once nothing stands in for anything else. */
function searched(columns: readonly Uint32Array[], rows: number): Cover {
  const holders = Array.from({ length: rows }, (_, row) =>
    columns.flatMap((column, at) => (has(column, row) ? [at] : [])),
  );
  const best = { columns: withoutSpare(greedy(columns, rows), columns, rows) };
  const root = apart(holders, columns, new Uint32Array(words(rows)), rows);
  let steps = 0;
  const search = (chosen: number[], covered: Uint32Array): void => {
    steps += 1;
    if (steps > MOST_STEPS) return;
    let row = -1;
    for (let at = 0; at < rows; at += 1)
      if (!has(covered, at) && (row < 0 || (holders[at]?.length ?? 0) < (holders[row]?.length ?? 0)))
        row = at;
    if (row < 0) {
      if (chosen.length < best.columns.length) best.columns = [...chosen];
      return;
    }
    if (chosen.length + apart(holders, columns, covered, rows) >= best.columns.length) return;
    const order = (holders[row] ?? []).toSorted(
      (one, other) =>
        news(columns[other] as Uint32Array, covered) - news(columns[one] as Uint32Array, covered),
    );
    for (const column of order)
      search(
        [...chosen, column],
        covered.map((word, at) => word | (columns[column]?.[at] as number)),
      );
  };
  if (root < best.columns.length) search([], new Uint32Array(words(rows)));
  return { columns: best.columns, atLeast: steps > MOST_STEPS ? root : best.columns.length };
}

function greedy(columns: readonly Uint32Array[], rows: number): number[] {
  const covered = new Uint32Array(words(rows));
  const chosen: number[] = [];
  for (;;) {
    let [best, most] = [-1, 0];
    columns.forEach((column, at) => {
      const more = news(column, covered);
      if (more > most) [best, most] = [at, more];
    });
    if (best < 0) return chosen;
    chosen.push(best);
    columns[best]?.forEach((word, at) => (covered[at] = (covered[at] as number) | word));
  }
}

/** The same without columns that the others make needless. */
function withoutSpare(chosen: readonly number[], columns: readonly Uint32Array[], rows: number): number[] {
  let kept = [...chosen];
  for (const column of chosen.toReversed()) {
    const rest = kept.filter((one) => one !== column);
    const covered = bitsOf(rows, []);
    for (const one of rest)
      columns[one]?.forEach((word, at) => (covered[at] = (covered[at] as number) | word));
    if (news(columns[column] as Uint32Array, covered) === 0) kept = rest;
  }
  return kept;
}

/** How many rows there are of which no column covers two: so many columns it takes at least. */
function apart(
  holders: readonly (readonly number[])[],
  columns: readonly Uint32Array[],
  covered: Uint32Array,
  rows: number,
): number {
  const blocked = Uint32Array.from(covered);
  let count = 0;
  const order = Array.from({ length: rows }, (_, row) => row).toSorted(
    (one, other) => (holders[one]?.length ?? 0) - (holders[other]?.length ?? 0),
  );
  for (const row of order) {
    if (has(blocked, row)) continue;
    count += 1;
    for (const column of holders[row] ?? [])
      columns[column]?.forEach((word, at) => (blocked[at] = (blocked[at] as number) | word));
  }
  return count;
}

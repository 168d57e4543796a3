import { partitionOf } from '../partition/index.js';

/** A resistance between two nodes, in ohms (0 is allowed and ties them). */
export interface Resistance {
  a: number;
  b: number;
  ohms: number;
}

/**
 * Resistance seen between two nodes of a network of resistances, in ohms; Infinity when nothing joins them.
 * Nodal analysis: one ampere in at `from`, out at `to`, Gaussian elimination with partial pivoting on the
 * conductance matrix of the component (textbook method, e.g. any circuit theory course on nodal analysis).
 * @throws RangeError when a node is outside 0..nodes-1 or a resistance is negative.
 * @example
 * resistanceBetween(3, [{ a: 0, b: 1, ohms: 100 }, { a: 1, b: 2, ohms: 50 }], 0, 2) // => 150
 */
export function resistanceBetween(
  nodes: number,
  network: readonly Resistance[],
  from: number,
  to: number,
): number {
  const inside = (node: number) => Number.isInteger(node) && node >= 0 && node < nodes;
  for (const { a, b, ohms } of network) {
    if (!inside(a) || !inside(b) || !(ohms >= 0)) throw new RangeError(`bad resistance ${a}-${b}: ${ohms}`);
  }
  if (!inside(from) || !inside(to)) throw new RangeError(`no such node: ${from} or ${to}`);
  const node = partitionOf(
    nodes,
    network.filter(({ ohms }) => ohms === 0).map(({ a, b }) => [a, b] as const),
  );
  const rest = network
    .filter(({ ohms }) => ohms > 0)
    .map(({ a, b, ohms }) => ({ a: node[a] as number, b: node[b] as number, ohms }));
  return betweenNodes(rest, node[from] as number, node[to] as number);
}

/**
 * Potentials of all nodes in volts with one ampere in at `from` and `to` at zero; null when nothing joins the two. Nodes
 * that are joined to neither float at zero.
 */
export function potentials(
  nodes: number,
  network: readonly Resistance[],
  from: number,
  to: number,
): Float64Array | null {
  const tied = partitionOf(
    nodes,
    network.filter(({ ohms }) => ohms === 0).map(({ a, b }) => [a, b] as const),
  );
  const rest = network
    .filter(({ ohms }) => ohms > 0)
    .map(({ a, b, ohms }) => ({ a: tied[a] as number, b: tied[b] as number, ohms }));
  const [start, end] = [tied[from] as number, tied[to] as number];
  if (start === end) return new Float64Array(nodes);
  const solved = solveFrom(rest, start, end);
  return solved && Float64Array.from({ length: nodes }, (_, node) => solved.get(tied[node] as number) ?? 0);
}

/** A network with its shorts contracted: two nodes tied by nothing are one, so that the matrix stays well conditioned. */
function betweenNodes(network: readonly Resistance[], from: number, to: number): number {
  if (from === to) return 0;
  return solveFrom(network, from, to)?.get(from) ?? Infinity;
}

/** Volts by node of the component, `to` at zero; null when `to` is not in it. */
function solveFrom(network: readonly Resistance[], from: number, to: number): Map<number, number> | null {
  const reached = componentOf(from, network);
  if (!reached.has(to)) return null;
  const index = new Map([...reached].filter((node) => node !== to).map((node, at) => [node, at]));
  const size = index.size;
  const rows = Array.from({ length: size }, () => new Float64Array(size + 1));
  for (const { a, b, ohms } of network) {
    if (a === b || !reached.has(a)) continue;
    const siemens = 1 / ohms;
    const [at, other] = [index.get(a), index.get(b)];
    if (at !== undefined) add(rows, at, at, siemens);
    if (other !== undefined) add(rows, other, other, siemens);
    if (at !== undefined && other !== undefined) {
      add(rows, at, other, -siemens);
      add(rows, other, at, -siemens);
    }
  }
  add(rows, index.get(from) as number, size, 1);
  const volts = solve(rows);
  return new Map([...index].map(([node, at]) => [node, volts[at] as number]));
}

function add(rows: Float64Array[], row: number, column: number, amount: number): void {
  const cells = rows[row] as Float64Array;
  cells[column] = (cells[column] as number) + amount;
}

function componentOf(start: number, network: readonly Resistance[]): Set<number> {
  const reached = new Set([start]);
  for (let grown = true; grown;) {
    grown = false;
    for (const { a, b } of network) {
      if (reached.has(a) !== reached.has(b)) {
        reached.add(a).add(b);
        grown = true;
      }
    }
  }
  return reached;
}

function solve(rows: Float64Array[]): number[] {
  const size = rows.length;
  const cell = (row: number, column: number) => (rows[row] as Float64Array)[column] as number;
  for (let column = 0; column < size; column += 1) {
    let pivot = column;
    for (let row = column + 1; row < size; row += 1) {
      if (Math.abs(cell(row, column)) > Math.abs(cell(pivot, column))) pivot = row;
    }
    [rows[column], rows[pivot]] = [rows[pivot] as Float64Array, rows[column] as Float64Array];
    for (let row = column + 1; row < size; row += 1) {
      const factor = cell(row, column) / cell(column, column);
      if (factor === 0) continue;
      for (let at = column; at <= size; at += 1) add(rows, row, at, -factor * cell(column, at));
    }
  }
  const answer = new Array<number>(size).fill(0);
  for (let row = size - 1; row >= 0; row -= 1) {
    let sum = cell(row, size);
    for (let at = row + 1; at < size; at += 1) sum -= cell(row, at) * (answer[at] as number);
    answer[row] = sum / cell(row, row);
  }
  return answer;
}

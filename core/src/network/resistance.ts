import { Ints, Reals } from '../grid/index.js';
import { partitionOf } from '../partition/index.js';
import { solveLinear } from './linear.js';

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
  const [node, rest] = withoutShorts(nodes, network);
  return betweenNodes(rest, node.get(from), node.get(to));
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
  const [tied, rest] = withoutShorts(nodes, network);
  const [start, end] = [tied.get(from), tied.get(to)];
  if (start === end) return new Float64Array(nodes);
  const solved = solveFrom(rest, start, end);
  return solved && Float64Array.from({ length: nodes }, (_, node) => solved.get(tied.get(node)) ?? 0);
}

/** For every node the one that it is tied to by nothing, and the rest of the network between those. */
function withoutShorts(nodes: number, network: readonly Resistance[]): [tied: Ints, rest: Resistance[]] {
  const shorts = network.filter(({ ohms }) => ohms === 0);
  const tied = new Ints(
    partitionOf(
      nodes,
      shorts.map(({ a, b }) => [a, b] as const),
    ),
  );
  const rest = network
    .filter(({ ohms }) => ohms > 0)
    .map(({ a, b, ohms }) => ({ a: tied.get(a), b: tied.get(b), ohms }));
  return [tied, rest];
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
  const rows = new Reals(size * (size + 1), size + 1);
  const add = (row: number, column: number, amount: number) => rows.add(row * (size + 1) + column, amount);
  for (const { a, b, ohms } of network) {
    if (a === b || !reached.has(a)) continue;
    const siemens = 1 / ohms;
    const [at, other] = [index.get(a), index.get(b)];
    if (at !== undefined) add(at, at, siemens);
    if (other !== undefined) add(other, other, siemens);
    if (at !== undefined && other !== undefined) {
      add(at, other, -siemens);
      add(other, at, -siemens);
    }
  }
  const start = index.get(from);
  if (start !== undefined) add(start, size, 1);
  solveLinear(rows);
  return new Map([...index].map(([node, at]) => [node, rows.cell(at, size)]));
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

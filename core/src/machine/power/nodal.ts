import { Reals } from '../../grid/index.js';
import { solveLinear } from '../../network/index.js';
import type { Phasor } from './phasor.js';

/** A resistance between two nets, in siemens. */
export interface Conductance {
  a: number;
  b: number;
  siemens: number;
}

/**
 * Voltages of all nets that some fixed one reaches through conductances; the others are not in it: they float, and nothing is said
 * of them. Nodal analysis with Gaussian elimination (textbook); the conductances are real, so both parts of the phasors are solved
 * with one matrix.
 */
export function netVoltages(
  fixed: ReadonlyMap<number, Phasor>,
  conductances: readonly Conductance[],
): Map<number, Phasor> {
  const voltages = new Map(fixed);
  const between = conductances.filter(({ a, b }) => a !== b);
  const neighbours = new Map<number, number[]>();
  for (const { a, b } of between) {
    neighbours.set(a, [...(neighbours.get(a) ?? []), b]);
    neighbours.set(b, [...(neighbours.get(b) ?? []), a]);
  }
  const reached: number[] = [];
  const seen = new Set(fixed.keys());
  const queue = [...fixed.keys()];
  for (let net = queue.pop(); net !== undefined; net = queue.pop())
    for (const next of neighbours.get(net) ?? [])
      if (!seen.has(next)) {
        seen.add(next);
        reached.push(next);
        queue.push(next);
      }
  if (reached.length === 0) return voltages;
  const at = new Map(reached.map((net, index) => [net, index]));
  const size = reached.length;
  const rows = new Reals(size * (size + 2), size + 2);
  for (const { a, b, siemens } of between)
    for (const [one, other] of [
      [a, b],
      [b, a],
    ] as const) {
      const [own, there] = [at.get(one), at.get(other)];
      if (own === undefined) continue;
      const row = own * rows.columns;
      rows.add(row + own, siemens);
      if (there !== undefined) rows.add(row + there, -siemens);
      const known = fixed.get(other);
      if (!known) continue;
      rows.add(row + size, siemens * known.re);
      rows.add(row + size + 1, siemens * known.im);
    }
  // The matrix of reached nets is never singular.
  solveLinear(rows);
  reached.forEach((net, row) =>
    voltages.set(net, { re: rows.cell(row, size), im: rows.cell(row, size + 1) }),
  );
  return voltages;
}

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
  const rows = reached.map(() => new Float64Array(size + 2));
  for (const { a, b, siemens } of between)
    for (const [one, other] of [
      [a, b],
      [b, a],
    ] as const) {
      const row = rows[at.get(one) ?? -1];
      if (!row) continue;
      const [own, there] = [at.get(one) as number, at.get(other)];
      row[own] = (row[own] as number) + siemens;
      if (there !== undefined) row[there] = (row[there] as number) - siemens;
      const known = fixed.get(other);
      if (!known) continue;
      row[size] = (row[size] as number) + siemens * known.re;
      row[size + 1] = (row[size + 1] as number) + siemens * known.im;
    }
  eliminate(rows, size);
  reached.forEach((net, index) => {
    const row = rows[index] as Float64Array;
    voltages.set(net, { re: row[size] as number, im: row[size + 1] as number });
  });
  return voltages;
}

/** Gauss and Jordan, with the largest pivot of each column; the matrix of reached nets is never singular. */
function eliminate(rows: Float64Array[], size: number): void {
  for (let column = 0; column < size; column += 1) {
    let best = column;
    for (let row = column + 1; row < size; row += 1)
      if (Math.abs(rows[row]?.[column] ?? 0) > Math.abs(rows[best]?.[column] ?? 0)) best = row;
    [rows[column], rows[best]] = [rows[best] as Float64Array, rows[column] as Float64Array];
    const pivot = rows[column] as Float64Array;
    const scale = pivot[column] as number;
    for (let cell = column; cell < size + 2; cell += 1) pivot[cell] = (pivot[cell] as number) / scale;
    rows.forEach((row, index) => {
      const factor = row[column] as number;
      if (index === column || factor === 0) return;
      for (let cell = column; cell < size + 2; cell += 1)
        row[cell] = (row[cell] as number) - factor * (pivot[cell] as number);
    });
  }
}

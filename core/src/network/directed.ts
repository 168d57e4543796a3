import { potentials, type Resistance } from './resistance.js';

/** A diode: conducts with its own ohms from `a` to `b`, and not the other way. */
export interface Diode {
  a: number;
  b: number;
  ohms: number;
}

/**
 * Resistance from one node to another with diodes in the network, in ohms, current going in at `from`: those that would
 * carry current backwards are taken out, and the network is solved again, until none does (the usual piecewise linear
 * model; a diode is put back where its own side is higher). Infinity when nothing conducts.
 */
export function resistanceWithDiodes(
  nodes: number,
  network: readonly Resistance[],
  diodes: readonly Diode[],
  from: number,
  to: number,
): number {
  let on = diodes.map(() => true);
  for (let round = 0; round <= 2 * diodes.length + 1; round += 1) {
    const all = [...network, ...diodes.filter((_, at) => on[at])];
    const volts = potentials(nodes, all, from, to);
    if (!volts) return Infinity;
    const next = diodes.map(({ a, b }, at) => {
      const across = (volts[a] as number) - (volts[b] as number);
      return on[at] ? across >= -1e-12 : across > 1e-9;
    });
    if (next.every((one, at) => one === on[at])) return volts[from] as number;
    on = next;
  }
  return Infinity;
}

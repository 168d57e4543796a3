import { Ints } from '../../grid/index.js';
import { blocks } from '../../partition/index.js';
import type { Ground } from './ground.js';
import type { CompiledDemand } from './wires.js';

/**
 * How many joins the terminals that are left can still bring, at most. In a net of the ground one terminal brings none, whichever:
 * joining n takes n - 1; it is the one that lies in most nets, so of a wafer the lug of the rotor brings none and every other lug one.
 */
export class Gains {
  /** Joins that a wire on a terminal brings at most, over all demanded rows: [wire, terminal]. */
  readonly #of: Ints;
  /** By wire, and by how many terminals: the most that they bring. */
  readonly #best: Ints;
  readonly #top: Ints;
  readonly #most: number;
  /** Joins that are demanded and not brought by what is laid. */
  #lacking: number;
  /** Most that the wires without a terminal bring, and how many those are. */
  #coming = 0;
  #unlaid: number;

  constructor(demand: CompiledDemand, ground: Ground, demanded: number) {
    const { wires } = demand;
    const { terminals } = ground;
    this.#of = new Ints(wires * terminals, terminals);
    this.#best = new Ints(wires);
    this.#lacking = 0;
    this.#unlaid = wires;
    const rows = ground.pattern.slice(0, demanded).map((row) => blocks([...row]));
    const lives = new Ints(terminals);
    for (const nets of rows)
      for (const net of nets) if (net.length > 1) for (const one of net) lives.add(one, 1);
    rows.forEach((nets, row) => {
      const wants = demand.ranks[row] as number;
      if (wants === 0) return;
      this.#lacking += wants;
      const may = demand.high[row] as readonly number[];
      const isAlone = may.map((root, wire) => root === wire && may.indexOf(wire, wire + 1) < 0);
      for (const net of nets) {
        const hub = net.reduce(
          (best, one) => (lives.get(one) > lives.get(best) ? one : best),
          net[0] as number,
        );
        for (const terminal of net) {
          if (terminal === hub) continue;
          for (let wire = 0; wire < wires; wire += 1)
            if (!isAlone[wire]) this.#of.add(wire * terminals + terminal, 1);
        }
      }
    });
    const byTerminal = new Ints(terminals);
    for (let wire = 0; wire < wires; wire += 1)
      for (let terminal = 0; terminal < terminals; terminal += 1) {
        const gain = this.#of.cell(wire, terminal);
        if (gain > this.#best.get(wire)) this.#best.set(wire, gain);
        if (gain > byTerminal.get(terminal)) byTerminal.set(terminal, gain);
      }
    const sorted = byTerminal.cells.toSorted().reverse();
    this.#top = new Ints(terminals + 1);
    sorted.forEach((gain, at) => this.#top.set(at + 1, this.#top.get(at) + gain));
    this.#most = sorted[0] ?? 0;
    for (const gain of this.#best.cells) this.#coming += gain;
  }

  /** Whether what is demanded can still be brought once a wire is on a terminal, with so many junctions left then. */
  mayReach(wire: number, terminal: number, isFirst: boolean, junctions: number): boolean {
    const coming = this.#coming - (isFirst ? this.#best.get(wire) : 0) + junctions * this.#most;
    const left = this.#unlaid - (isFirst ? 1 : 0) + junctions;
    const top = this.#top.get(Math.min(left, this.#top.length - 1));
    return this.#lacking <= this.#of.cell(wire, terminal) + Math.min(coming, top);
  }

  /** Notes that a terminal was given to a wire; by -1: taken from it. */
  take(wire: number, terminal: number, isFirst: boolean, by: 1 | -1): void {
    this.#lacking -= by * this.#of.cell(wire, terminal);
    if (!isFirst) return;
    this.#unlaid -= by;
    this.#coming -= by * this.#best.get(wire);
  }
}

import { Ints } from '../../grid/index.js';
import type { Ground } from './ground.js';
import { WireSets } from './wire-sets.js';
import type { CompiledDemand } from './wires.js';

/** What is so at one depth of the search. */
interface State {
  /** Wires that are joined to a wire, and that must part from it: [row * wires + wire]. */
  join: WireSets;
  part: WireSets;
  /** A wire that lies in a net of the ground: [row * terminals + root]; -1: none yet. */
  wireIn: Ints;
  /** By row: how many joins the nets lack among the wires that are laid. A junction brings one of them at most, a wire's first terminal none. */
  lack: Ints;
}

/** Wires on the terminals of a ground, as far as they are laid. State by depth is kept, so that going back costs nothing. */
export class Lay {
  readonly wireOf: Int8Array;
  readonly #wires: number;
  readonly #rows: number;
  /** The nets of the ground: [row, terminal]. */
  readonly #given: Ints;
  /** The nets that the demand has: [row, wire]. */
  readonly #wanted: Ints;
  /** Terminals on a wire. */
  readonly #count: Ints;
  /** How many wires of a net have a terminal: [row, first wire of the net]. */
  readonly #begun: Ints;
  /** Without junctions a terminal must lie in nets that are large enough: [wire, terminal] is 1 where it does not. */
  readonly #small: Ints | null;
  readonly #states: State[] = [];

  /** @param demanded rows of the ground in which the demand holds; in the others only what must never meet is looked at */
  constructor(
    private readonly demand: CompiledDemand,
    private readonly ground: Ground,
    private readonly demanded: number,
    junctions: number,
  ) {
    const { wires } = demand;
    this.#wires = wires;
    this.#rows = ground.pattern.length;
    this.#given = Ints.rows(ground.pattern);
    this.#wanted = Ints.rows(demand.low);
    this.wireOf = new Int8Array(ground.terminals).fill(-1);
    this.#count = new Ints(wires);
    this.#begun = new Ints(demanded * wires);
    this.#small = junctions === 0 ? this.#tooSmall() : null;
    this.#states.push(this.#first());
  }

  /** Terminals that lie in smaller nets than a wire needs: without junctions it joins only what lies in its terminal's net. */
  #tooSmall(): Ints {
    const { terminals } = this.ground;
    const small = new Ints(this.#wires * terminals, terminals);
    for (let row = 0; row < this.demanded; row += 1) {
      const wants = sizesOf(this.#wanted, row);
      const has = sizesOf(this.#given, row);
      for (let wire = 0; wire < this.#wires; wire += 1)
        for (let terminal = 0; terminal < terminals; terminal += 1)
          if (has.get(this.#given.cell(row, terminal)) < wants.get(this.#wanted.cell(row, wire)))
            small.set(wire * terminals + terminal, 1);
    }
    return small;
  }

  /** The first state: every wire by itself. */
  #first(): State {
    const { demand } = this;
    const wires = this.#wires;
    const [join, part] = [new WireSets(this.#rows * wires, wires), new WireSets(this.#rows * wires, wires)];
    const { words } = part;
    for (let row = 0; row < this.#rows; row += 1)
      for (let wire = 0; wire < wires; wire += 1) join.add(row * wires + wire, wire);
    for (let at = 0; at < this.demanded * wires * words; at += 1)
      part.cells.set(at, demand.part.cells.get(at));
    for (let row = this.demanded; row < this.#rows; row += 1)
      for (const [a, b] of demand.never) {
        part.add(row * wires + a, b);
        part.add(row * wires + b, a);
      }
    return {
      join,
      part,
      wireIn: Ints.filled(this.#rows * this.ground.terminals, -1),
      lack: new Ints(this.demanded),
    };
  }

  #at(depth: number): State {
    return this.#states[depth] as State;
  }

  /** How many terminals a wire has. */
  on(wire: number): number {
    return this.#count.get(wire);
  }

  /** A wire that is not joined yet to all that it must be joined to, at a depth: its cell, row * wires + wire; -1: there is none. */
  broken(depth: number): number {
    const { must } = this.demand;
    const { join } = this.#at(depth);
    const { words } = join;
    for (let at = 0; at < this.demanded * this.#wires; at += 1)
      for (let word = at * words; word < (at + 1) * words; word += 1)
        if ((must.cells.get(word) & ~join.cells.get(word)) !== 0) return at;
    return -1;
  }

  /** Whether a wire must not come to a cell. */
  isKeptFrom(depth: number, cell: number, wire: number): boolean {
    return this.#at(depth).part.has(cell, wire);
  }

  /** Whether a wire on a terminal joins nothing that must part. */
  clashes(depth: number, terminal: number, wire: number): boolean {
    const { terminals } = this.ground;
    const { join, part, wireIn } = this.#at(depth);
    for (let row = 0; row < this.#rows; row += 1) {
      const there = wireIn.get(row * terminals + this.#given.cell(row, terminal));
      if (there >= 0 && part.meets(row * this.#wires + wire, join, row * this.#wires + there)) return true;
    }
    return false;
  }

  /** Whether the joins that no row can do without are had with so many junctions more once a wire is on a terminal. */
  isMendable(depth: number, terminal: number, wire: number, junctions: number): boolean {
    const { terminals } = this.ground;
    if (this.#small?.get(wire * terminals + terminal) === 1) return false;
    const { join, wireIn, lack } = this.#at(depth);
    for (let row = 0; row < this.demanded; row += 1) {
      const before = lack.get(row) + this.#newPiece(row, wire);
      if (before <= junctions) continue;
      const there = wireIn.get(row * terminals + this.#given.cell(row, terminal));
      if (before - (there < 0 ? 0 : this.#mends(join, row, wire, there)) > junctions) return false;
    }
    return true;
  }

  /** 1 where a wire comes to a net of the demand that has others with a terminal: first it is a piece of its own. */
  #newPiece(row: number, wire: number): 0 | 1 {
    if (this.#count.get(wire) > 0) return 0;
    return this.#begun.get(row * this.#wires + this.#wanted.cell(row, wire)) > 0 ? 1 : 0;
  }

  /** How many nets of the demand have a piece with one wire and a piece with another: so many joins it brings to join these two. */
  #mends(join: WireSets, row: number, one: number, other: number): number {
    const wires = this.#wires;
    if (join.isSame(row * wires + one, row * wires + other)) return 0;
    let nets = 0;
    for (let net = 0; net < wires; net += 1)
      if (this.#hasOf(join, row, one, net, one) && this.#hasOf(join, row, other, net, -1)) nets += 1;
    return nets;
  }

  /** Whether a piece has a wire of a net of the demand: one that has a terminal, or the one that gets it. */
  #hasOf(join: WireSets, row: number, piece: number, net: number, gets: number): boolean {
    if (this.#wanted.cell(row, net) !== net) return false;
    for (let wire = net; wire < this.#wires; wire += 1)
      if (
        this.#wanted.cell(row, wire) === net &&
        (wire === gets || this.#count.get(wire) > 0) &&
        join.has(row * this.#wires + piece, wire)
      )
        return true;
    return false;
  }

  /** Gives a terminal to a wire: in each position it joins what lies in the terminal's net already. The state is the next depth's. */
  put(depth: number, terminal: number, wire: number): void {
    const { join, part, wireIn, lack } = this.#next(depth);
    const { terminals } = this.ground;
    const wires = this.#wires;
    for (let row = 0; row < this.#rows; row += 1) {
      const cell = row * terminals + this.#given.cell(row, terminal);
      const there = wireIn.get(cell);
      if (row < this.demanded) {
        const brings = there < 0 ? 0 : this.#mends(join, row, wire, there);
        lack.add(row, this.#newPiece(row, wire) - brings);
      }
      if (there < 0) {
        wireIn.set(cell, wire);
        continue;
      }
      const [one, other] = [row * wires + wire, row * wires + there];
      if (!join.isSame(one, other)) merge(join, part, row * wires, wires, one, other);
    }
    this.#take(terminal, wire, 1);
  }

  /** Takes a wire off a terminal: what was so before stands at the depth before. */
  lift(terminal: number, wire: number): void {
    this.#take(terminal, wire, -1);
  }

  #take(terminal: number, wire: number, by: 1 | -1): void {
    this.wireOf[terminal] = by === 1 ? wire : -1;
    const before = this.#count.get(wire);
    this.#count.set(wire, before + by);
    if (before !== (by === 1 ? 0 : 1)) return;
    for (let row = 0; row < this.demanded; row += 1)
      this.#begun.add(row * this.#wires + this.#wanted.cell(row, wire), by);
  }

  /** Copies the state of a depth to the next one. */
  #next(depth: number): State {
    const from = this.#at(depth);
    const to = (this.#states[depth + 1] ??= {
      join: new WireSets(from.join.count, this.#wires),
      part: new WireSets(from.part.count, this.#wires),
      wireIn: new Ints(from.wireIn.length),
      lack: new Ints(from.lack.length),
    });
    to.join.takeOver(from.join);
    to.part.takeOver(from.part);
    to.wireIn.takeOver(from.wireIn);
    to.lack.takeOver(from.lack);
    return to;
  }
}

/** Makes one piece of two in a row: all its wires are joined, and kept from all that one of them was kept from. */
function merge(join: WireSets, part: WireSets, row: number, wires: number, one: number, other: number): void {
  const { words } = join;
  for (let word = 0; word < words; word += 1) {
    const joined = join.cells.get(one * words + word) | join.cells.get(other * words + word);
    const kept = part.cells.get(one * words + word) | part.cells.get(other * words + word);
    join.cells.set(one * words + word, joined);
    part.cells.set(one * words + word, kept);
  }
  for (let member = 0; member < wires; member += 1) {
    const at = row + member;
    if (at === one || !join.has(one, member)) continue;
    for (let word = 0; word < words; word += 1) {
      join.cells.set(at * words + word, join.cells.get(one * words + word));
      part.cells.set(at * words + word, part.cells.get(one * words + word));
    }
  }
}

/** How many lie in each net of a row, by its first member. */
function sizesOf(nets: Ints, row: number): Ints {
  const sizes = new Ints(nets.columns);
  for (let at = 0; at < nets.columns; at += 1) sizes.add(nets.cell(row, at), 1);
  return sizes;
}

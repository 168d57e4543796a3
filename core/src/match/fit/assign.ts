import { Ints } from '../../grid/index.js';
import type { CompiledDemand } from './wires.js';
import type { CompiledPart } from './part.js';

/** Which wire each terminal of the part takes; -1: none. `undecided`: the search was cut off, neither yes nor no. */
export type Assigned =
  { kind: 'found'; wireOf: number[]; nodes: number } | { kind: 'none' | 'undecided'; nodes: number };

/** Where the search is held: in these positions of the part, with so many added junctions, for so many steps. */
export interface AssignLimits {
  /** By position of the demand: the position of the part. */
  positions: readonly number[];
  /** Positions of the part that the handle passes as well: there only what must never meet is looked at. */
  guards: readonly number[];
  jumpers: number;
  nodes: number;
}

/**
 * Looks for an assignment of wires to terminals, at least one terminal each, so many more in all (added junctions), under which
 * every position has exactly the joins that are demanded. Depth first on the wire with the fewest terminals left for it; a
 * terminal is ruled out where it would join what must part, or leave a net in more pieces than there are junctions to mend it.
 * 'none' is proved.
 */
export function assignWires(demand: CompiledDemand, part: CompiledPart, limits: AssignLimits): Assigned {
  return new Assignment(demand, part, limits).run();
}

/** What is so at one depth: sets of wires as bits, [row * wires + wire], the low 31 and the others. */
interface State {
  joinLow: Ints;
  joinHigh: Ints;
  partLow: Ints;
  partHigh: Ints;
  /** A wire that lies in a net of the part: [row * terminals + root]; -1: none yet. */
  wireIn: Ints;
}

/** One search. State by depth is kept in one long array, so that going back costs nothing. */
class Assignment {
  readonly #wires: number;
  /** Looked at: the demanded positions, then the guards. */
  readonly #rows: number;
  /** The nets of the part in each of them: [row, terminal]. */
  readonly #given: Ints;
  /** The nets that the demand has: [row, wire]. */
  readonly #wanted: Ints;
  readonly #demanded: number;
  readonly #wireOf: Int8Array;
  readonly #count: Ints;
  readonly #taken: Map<number, number> = new Map();
  /** How many wires of a net have a terminal: [row, first wire of the net]. */
  readonly #begun: Ints;
  /** Without junctions a terminal must lie in nets that are large enough: [wire, terminal] is 1 where it does not. */
  readonly #small: Ints | null;
  /** What is so at each depth, from the beginning to where the search stands. */
  readonly #states: State[] = [];
  #nodes = 0;
  #cut = false;

  constructor(
    readonly demand: CompiledDemand,
    readonly part: CompiledPart,
    readonly limits: AssignLimits,
  ) {
    this.#wires = demand.wires;
    const rows = [...limits.positions, ...limits.guards];
    this.#rows = rows.length;
    this.#given = Ints.rows(rows.map((row) => part.pattern[row] ?? []));
    this.#wanted = Ints.rows(demand.low);
    this.#demanded = limits.positions.length;
    this.#wireOf = new Int8Array(part.terminals).fill(-1);
    this.#count = new Ints(demand.wires);
    this.#begun = new Ints(this.#demanded * demand.wires);
    this.#small = limits.jumpers === 0 ? this.#tooSmall() : null;
    this.#states.push(this.#first());
  }

  /** Terminals that lie in smaller nets than a wire needs: without junctions it joins only what lies in its terminal's net. */
  #tooSmall(): Ints {
    const { terminals } = this.part;
    const small = new Ints(this.#wires * terminals, terminals);
    for (let row = 0; row < this.#demanded; row += 1) {
      const wants = sizesOf(this.#wanted, row);
      const has = sizesOf(this.#given, row);
      for (let wire = 0; wire < this.#wires; wire += 1)
        for (let terminal = 0; terminal < terminals; terminal += 1)
          if (has.get(this.#given.cell(row, terminal)) < wants.get(this.#wanted.cell(row, wire)))
            small.set(wire * terminals + terminal, 1);
    }
    return small;
  }

  run(): Assigned {
    const found = this.#extend(0, this.limits.jumpers);
    if (found) return { kind: 'found', wireOf: [...this.#wireOf], nodes: this.#nodes };
    return { kind: this.#cut ? 'undecided' : 'none', nodes: this.#nodes };
  }

  /** The first state: every wire by itself. */
  #first(): State {
    const { demand } = this;
    const wires = this.#wires;
    const cells = this.#rows * wires;
    const [joinLow, joinHigh] = [new Ints(cells), new Ints(cells)];
    const [partLow, partHigh] = [new Ints(cells), new Ints(cells)];
    const setBit = (low: Ints, high: Ints, at: number, wire: number) =>
      wire < 31 ? low.setBits(at, 1 << wire) : high.setBits(at, 1 << (wire - 31));
    for (let row = 0; row < this.#rows; row += 1) {
      for (let wire = 0; wire < wires; wire += 1) {
        const at = row * wires + wire;
        setBit(joinLow, joinHigh, at, wire);
        if (row >= this.#demanded) continue;
        partLow.set(at, demand.part.low.get(at));
        partHigh.set(at, demand.part.high.get(at));
      }
      if (row < this.#demanded) continue;
      for (const [a, b] of demand.never) {
        setBit(partLow, partHigh, row * wires + a, b);
        setBit(partLow, partHigh, row * wires + b, a);
      }
    }
    return {
      joinLow,
      joinHigh,
      partLow,
      partHigh,
      wireIn: Ints.filled(this.#rows * this.part.terminals, -1),
    };
  }

  /** What is so at a depth that was reached. */
  #at(depth: number): State {
    return this.#states[depth] as State;
  }

  /** Copies the state of a depth to the next one. */
  #copy(depth: number): void {
    const from = this.#at(depth);
    const to = (this.#states[depth + 1] ??= {
      joinLow: new Ints(from.joinLow.length),
      joinHigh: new Ints(from.joinHigh.length),
      partLow: new Ints(from.partLow.length),
      partHigh: new Ints(from.partHigh.length),
      wireIn: new Ints(from.wireIn.length),
    });
    to.joinLow.takeOver(from.joinLow);
    to.joinHigh.takeOver(from.joinHigh);
    to.partLow.takeOver(from.partLow);
    to.partHigh.takeOver(from.partHigh);
    to.wireIn.takeOver(from.wireIn);
  }

  #extend(depth: number, left: number): boolean {
    const choice = this.#choose(depth, left);
    if (choice === 'done') return true;
    if (choice === null) return false;
    const tried = new Set<string>();
    for (const [terminal, wire] of choice) {
      const like = `${wire} ${this.#likeness(terminal)}`;
      if (tried.has(like)) continue;
      tried.add(like);
      if (this.#nodes >= this.limits.nodes) {
        this.#cut = true;
        return false;
      }
      this.#nodes += 1;
      const extra = this.#count.get(wire) > 0;
      this.#copy(depth);
      this.#put(depth + 1, terminal, wire);
      this.#take(terminal, wire, 1);
      if (this.#extend(depth + 1, left - Number(extra))) return true;
      this.#take(terminal, wire, -1);
    }
    return false;
  }

  #take(terminal: number, wire: number, by: 1 | -1): void {
    this.#wireOf[terminal] = by === 1 ? wire : -1;
    const before = this.#count.get(wire);
    this.#count.set(wire, before + by);
    if (before === (by === 1 ? 0 : 1))
      for (let row = 0; row < this.#demanded; row += 1) {
        const net = row * this.#wires + this.#wanted.cell(row, wire);
        this.#begun.add(net, by);
      }
    const pole = this.part.pole[terminal] as number;
    this.#taken.set(pole, (this.#taken.get(pole) ?? 0) + by);
  }

  /** Two free terminals with the same likeness can stand for each other without touching what is taken already. */
  #likeness(terminal: number): string {
    const { pole, place, twin } = this.part;
    const untouched = (this.#taken.get(pole[terminal] as number) ?? 0) === 0;
    return untouched ? (place[terminal] as string) : `twin ${twin[terminal]}`;
  }

  /** The wire with the fewest terminals for it; where all have one, what mends the first net that is in pieces. */
  #choose(depth: number, left: number): [terminal: number, wire: number][] | 'done' | null {
    let best: [number, number][] | null = null;
    for (let wire = 0; wire < this.#wires; wire += 1) {
      if (this.#count.get(wire) > 0) continue;
      const options: [number, number][] = [];
      for (let terminal = 0; terminal < this.part.terminals; terminal += 1)
        if (this.#wireOf[terminal] === -1 && this.#fits(depth, terminal, wire, left)) {
          options.push([terminal, wire]);
          // It is not the one with the fewest.
          if (best && options.length >= best.length) break;
        }
      if (options.length === 0) return null;
      if (!best || options.length < best.length) best = options;
    }
    return best ?? this.#mend(depth, left);
  }

  /** Every way to join a piece of a broken net to another; 'done' where none is broken, null where none can be mended. */
  #mend(depth: number, left: number): [number, number][] | 'done' | null {
    const { must } = this.demand;
    const { joinLow: low, joinHigh: high, partLow, partHigh } = this.#at(depth);
    for (let row = 0; row < this.#demanded; row += 1)
      for (let wire = 0; wire < this.#wires; wire += 1) {
        const at = row * this.#wires + wire;
        const restLow = must.low.get(at) & ~low.get(at);
        const restHigh = must.high.get(at) & ~high.get(at);
        if (restLow === 0 && restHigh === 0) continue;
        if (left === 0) return null;
        const options: [number, number][] = [];
        // Some further terminal of a wire that may be joined to this piece mends it or comes nearer to that.
        for (let other = 0; other < this.#wires; other += 1) {
          if (this.#has(partLow.get(at), partHigh.get(at), other)) continue;
          for (let terminal = 0; terminal < this.part.terminals; terminal += 1)
            if (this.#wireOf[terminal] === -1 && this.#fits(depth, terminal, other, left))
              options.push([terminal, other]);
        }
        return options.length === 0 ? null : options;
      }
    return 'done';
  }

  #has(low: number, high: number, wire: number): boolean {
    return wire < 31 ? ((low >> wire) & 1) === 1 : ((high >> (wire - 31)) & 1) === 1;
  }

  /** Whether a wire may take a terminal: it joins nothing that must part, and no net is left in more pieces than can be mended. */
  #fits(depth: number, terminal: number, wire: number, left: number): boolean {
    const { terminals } = this.part;
    const { wireIn } = this.#at(depth);
    const extra = this.#count.get(wire) > 0;
    const junctions = left - Number(extra);
    if (junctions < 0 || this.#small?.get(wire * terminals + terminal) === 1) return false;
    for (let row = 0; row < this.#rows; row += 1) {
      const root = this.#given.cell(row, terminal);
      const there = wireIn.get(row * terminals + root);
      const at = row * this.#wires + wire;
      if (there >= 0 && this.#clash(depth, at, row * this.#wires + there)) return false;
      if (row < this.#demanded && !this.#mendable(depth, row, wire, there, junctions)) return false;
    }
    return true;
  }

  #clash(depth: number, one: number, other: number): boolean {
    const { joinLow, joinHigh, partLow, partHigh } = this.#at(depth);
    return (partLow.get(one) & joinLow.get(other)) !== 0 || (partHigh.get(one) & joinHigh.get(other)) !== 0;
  }

  /** Pieces of the wire's net that have terminals: one terminal more joins two of them at most, so junctions must do for the rest. */
  #mendable(depth: number, row: number, wire: number, there: number, junctions: number): boolean {
    const { must } = this.demand;
    const at = row * this.#wires + wire;
    const [netLow, netHigh] = [must.low.get(at), must.high.get(at)];
    if (this.#isAlone(netLow, netHigh)) return true;
    const begun = this.#begun.get(row * this.#wires + this.#wanted.cell(row, wire));
    const fresh = this.#count.get(wire) === 0;
    if (fresh && begun <= junctions) return true;
    const { joinLow, joinHigh } = this.#at(depth);
    const piece = there < 0 ? -1 : row * this.#wires + there;
    // What lies in the terminal's net already, as far as it is of this net and not joined to the wire yet.
    const othersLow = piece < 0 ? 0 : joinLow.get(piece) & netLow & ~joinLow.get(at);
    const othersHigh = piece < 0 ? 0 : joinHigh.get(piece) & netHigh & ~joinHigh.get(at);
    const joinsOther = othersLow !== 0 || othersHigh !== 0;
    // Without junctions what was begun is one piece.
    if (fresh && junctions === 0) return joinsOther;
    let [low, high, pieces] = [netLow, netHigh, 0];
    for (let other = 0; other < this.#wires; other += 1) {
      if (!this.#has(low, high, other) || this.#count.get(other) === 0) continue;
      pieces += 1;
      const cell = row * this.#wires + other;
      low &= ~joinLow.get(cell);
      high &= ~joinHigh.get(cell);
    }
    const here = fresh ? 1 : 0;
    return pieces + here - Number(joinsOther) - 1 <= junctions;
  }

  /** Whether a set has one member only. */
  #isAlone(low: number, high: number): boolean {
    return (low === 0 && (high & (high - 1)) === 0) || (high === 0 && (low & (low - 1)) === 0);
  }

  /** Gives a terminal to a wire: in each position it joins what lies in the terminal's net already. */
  #put(depth: number, terminal: number, wire: number): void {
    const { terminals } = this.part;
    const { joinLow, joinHigh, partLow, partHigh, wireIn } = this.#at(depth);
    for (let row = 0; row < this.#rows; row += 1) {
      const root = this.#given.cell(row, terminal);
      const cell = row * terminals + root;
      const there = wireIn.get(cell);
      if (there < 0) {
        wireIn.set(cell, wire);
        continue;
      }
      const [one, other] = [row * this.#wires + wire, row * this.#wires + there];
      if (joinLow.get(one) === joinLow.get(other) && joinHigh.get(one) === joinHigh.get(other)) continue;
      const low = joinLow.get(one) | joinLow.get(other);
      const high = joinHigh.get(one) | joinHigh.get(other);
      const apartLow = partLow.get(one) | partLow.get(other);
      const apartHigh = partHigh.get(one) | partHigh.get(other);
      for (let member = 0; member < this.#wires; member += 1) {
        if (!this.#has(low, high, member)) continue;
        const at = row * this.#wires + member;
        joinLow.set(at, low);
        joinHigh.set(at, high);
        partLow.set(at, apartLow);
        partHigh.set(at, apartHigh);
      }
    }
  }
}

/** How many lie in each net of a row, by its first member. */
function sizesOf(nets: Ints, row: number): Ints {
  const sizes = new Ints(nets.columns);
  for (let at = 0; at < nets.columns; at += 1) sizes.add(nets.cell(row, at), 1);
  return sizes;
}

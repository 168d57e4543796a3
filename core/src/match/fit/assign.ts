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

/** One search. State by depth is kept in one long array, so that going back costs nothing. */
class Assignment {
  readonly #wires: number;
  /** Looked at: the demanded positions, then the guards. */
  readonly #rows: number[];
  readonly #demanded: number;
  readonly #wireOf: Int8Array;
  readonly #count: Int32Array;
  readonly #taken: Map<number, number> = new Map();
  /** How many wires of a net have a terminal: [row * wires + first wire of the net]. */
  readonly #begun: Int32Array;
  /** Without junctions a terminal must lie in nets that are large enough: [wire * terminals + terminal] is 1 where it does not. */
  readonly #small: Uint8Array | null;
  /** Sets of joined wires and of what they must part from, by depth: [row * wires + wire] for low and high. */
  readonly #joinLow: Int32Array[] = [];
  readonly #joinHigh: Int32Array[] = [];
  readonly #partLow: Int32Array[] = [];
  readonly #partHigh: Int32Array[] = [];
  /** A wire that lies in a net of the part, by depth: [row * terminals + root]; -1: none yet. */
  readonly #wireIn: Int8Array[] = [];
  #nodes = 0;
  #cut = false;

  constructor(
    readonly demand: CompiledDemand,
    readonly part: CompiledPart,
    readonly limits: AssignLimits,
  ) {
    this.#wires = demand.wires;
    this.#rows = [...limits.positions, ...limits.guards];
    this.#demanded = limits.positions.length;
    this.#wireOf = new Int8Array(part.terminals).fill(-1);
    this.#count = new Int32Array(demand.wires);
    this.#begun = new Int32Array(this.#demanded * demand.wires);
    this.#small = limits.jumpers === 0 ? this.#tooSmall() : null;
    this.#push();
  }

  /** Terminals that lie in smaller nets than a wire needs: without junctions it joins only what lies in its terminal's net. */
  #tooSmall(): Uint8Array {
    const { terminals, pattern } = this.part;
    const small = new Uint8Array(this.#wires * terminals);
    for (let row = 0; row < this.#demanded; row += 1) {
      const nets = this.demand.low[row] as number[];
      const given = pattern[this.#rows[row] as number] as number[];
      const [wants, has] = [sizesOf(nets), sizesOf(given)];
      for (let wire = 0; wire < this.#wires; wire += 1)
        for (let terminal = 0; terminal < terminals; terminal += 1)
          if ((has[given[terminal] as number] as number) < (wants[nets[wire] as number] as number))
            small[wire * terminals + terminal] = 1;
    }
    return small;
  }

  run(): Assigned {
    const found = this.#extend(0, this.limits.jumpers);
    if (found) return { kind: 'found', wireOf: [...this.#wireOf], nodes: this.#nodes };
    return { kind: this.#cut ? 'undecided' : 'none', nodes: this.#nodes };
  }

  /** The first state: every wire by itself. */
  #push(): void {
    const { demand } = this;
    const wires = this.#wires;
    const cells = this.#rows.length * wires;
    const [joinLow, joinHigh] = [new Int32Array(cells), new Int32Array(cells)];
    const [partLow, partHigh] = [new Int32Array(cells), new Int32Array(cells)];
    this.#rows.forEach((_, row) => {
      for (let wire = 0; wire < wires; wire += 1) {
        const at = row * wires + wire;
        if (wire < 31) joinLow[at] = 1 << wire;
        else joinHigh[at] = 1 << (wire - 31);
        if (row < this.#demanded) {
          partLow[at] = demand.part.low[at] as number;
          partHigh[at] = demand.part.high[at] as number;
        }
      }
      if (row >= this.#demanded)
        for (const [a, b] of demand.never)
          for (const [one, other] of [
            [a, b],
            [b, a],
          ] as const) {
            const at = row * wires + one;
            if (other < 31) partLow[at] = (partLow[at] as number) | (1 << other);
            else partHigh[at] = (partHigh[at] as number) | (1 << (other - 31));
          }
    });
    this.#joinLow.push(joinLow);
    this.#joinHigh.push(joinHigh);
    this.#partLow.push(partLow);
    this.#partHigh.push(partHigh);
    this.#wireIn.push(new Int8Array(this.#rows.length * this.part.terminals).fill(-1));
  }

  /** Copies the state of a depth to the next one. */
  #copy(depth: number): void {
    for (const stack of [this.#joinLow, this.#joinHigh, this.#partLow, this.#partHigh]) {
      const from = stack[depth] as Int32Array;
      const to = (stack[depth + 1] ??= new Int32Array(from.length));
      to.set(from);
    }
    const from = this.#wireIn[depth] as Int8Array;
    (this.#wireIn[depth + 1] ??= new Int8Array(from.length)).set(from);
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
      const extra = (this.#count[wire] as number) > 0;
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
    const before = this.#count[wire] as number;
    this.#count[wire] = before + by;
    if (before === (by === 1 ? 0 : 1))
      for (let row = 0; row < this.#demanded; row += 1) {
        const net = row * this.#wires + ((this.demand.low[row] as number[])[wire] as number);
        this.#begun[net] = (this.#begun[net] as number) + by;
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
      if ((this.#count[wire] as number) > 0) continue;
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
    const [low, high] = [this.#joinLow[depth] as Int32Array, this.#joinHigh[depth] as Int32Array];
    for (let row = 0; row < this.#demanded; row += 1)
      for (let wire = 0; wire < this.#wires; wire += 1) {
        const at = row * this.#wires + wire;
        const restLow = (must.low[at] as number) & ~(low[at] as number);
        const restHigh = (must.high[at] as number) & ~(high[at] as number);
        if (restLow === 0 && restHigh === 0) continue;
        if (left === 0) return null;
        const options: [number, number][] = [];
        // Some further terminal of a wire that may be joined to this piece mends it or comes nearer to that.
        const [partLow, partHigh] = [this.#partLow[depth] as Int32Array, this.#partHigh[depth] as Int32Array];
        for (let other = 0; other < this.#wires; other += 1) {
          if (this.#has(partLow[at] as number, partHigh[at] as number, other)) continue;
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
    const { terminals, pattern } = this.part;
    const wireIn = this.#wireIn[depth] as Int8Array;
    const extra = (this.#count[wire] as number) > 0;
    const junctions = left - Number(extra);
    if (junctions < 0 || this.#small?.[wire * terminals + terminal] === 1) return false;
    for (let row = 0; row < this.#rows.length; row += 1) {
      const root = (pattern[this.#rows[row] as number] as number[])[terminal] as number;
      const there = wireIn[row * terminals + root] as number;
      const at = row * this.#wires + wire;
      if (there >= 0 && this.#clash(depth, at, row * this.#wires + there)) return false;
      if (row < this.#demanded && !this.#mendable(depth, row, wire, there, junctions)) return false;
    }
    return true;
  }

  #clash(depth: number, one: number, other: number): boolean {
    const low = (this.#partLow[depth] as Int32Array)[one] as number;
    const high = (this.#partHigh[depth] as Int32Array)[one] as number;
    return (
      (low & ((this.#joinLow[depth] as Int32Array)[other] as number)) !== 0 ||
      (high & ((this.#joinHigh[depth] as Int32Array)[other] as number)) !== 0
    );
  }

  /** Pieces of the wire's net that have terminals: one terminal more joins two of them at most, so junctions must do for the rest. */
  #mendable(depth: number, row: number, wire: number, there: number, junctions: number): boolean {
    const { must } = this.demand;
    const at = row * this.#wires + wire;
    const [netLow, netHigh] = [must.low[at] as number, must.high[at] as number];
    if (this.#isAlone(netLow, netHigh)) return true;
    const begun = this.#begun[
      row * this.#wires + ((this.demand.low[row] as number[])[wire] as number)
    ] as number;
    const fresh = (this.#count[wire] as number) === 0;
    if (fresh && begun <= junctions) return true;
    const [joinLow, joinHigh] = [this.#joinLow[depth] as Int32Array, this.#joinHigh[depth] as Int32Array];
    const piece = there < 0 ? -1 : row * this.#wires + there;
    // What lies in the terminal's net already, as far as it is of this net and not joined to the wire yet.
    const othersLow = piece < 0 ? 0 : (joinLow[piece] as number) & netLow & ~(joinLow[at] as number);
    const othersHigh = piece < 0 ? 0 : (joinHigh[piece] as number) & netHigh & ~(joinHigh[at] as number);
    const joinsOther = othersLow !== 0 || othersHigh !== 0;
    // Without junctions what was begun is one piece.
    if (fresh && junctions === 0) return joinsOther;
    let [low, high, pieces] = [netLow, netHigh, 0];
    for (let other = 0; other < this.#wires; other += 1) {
      if (!this.#has(low, high, other) || (this.#count[other] as number) === 0) continue;
      pieces += 1;
      const cell = row * this.#wires + other;
      low &= ~(joinLow[cell] as number);
      high &= ~(joinHigh[cell] as number);
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
    const { terminals, pattern } = this.part;
    const wireIn = this.#wireIn[depth] as Int8Array;
    const [joinLow, joinHigh] = [this.#joinLow[depth] as Int32Array, this.#joinHigh[depth] as Int32Array];
    const [partLow, partHigh] = [this.#partLow[depth] as Int32Array, this.#partHigh[depth] as Int32Array];
    for (let row = 0; row < this.#rows.length; row += 1) {
      const root = (pattern[this.#rows[row] as number] as number[])[terminal] as number;
      const cell = row * terminals + root;
      const there = wireIn[cell] as number;
      if (there < 0) {
        wireIn[cell] = wire;
        continue;
      }
      const [one, other] = [row * this.#wires + wire, row * this.#wires + there];
      if (joinLow[one] === joinLow[other] && joinHigh[one] === joinHigh[other]) continue;
      const low = (joinLow[one] as number) | (joinLow[other] as number);
      const high = (joinHigh[one] as number) | (joinHigh[other] as number);
      const apartLow = (partLow[one] as number) | (partLow[other] as number);
      const apartHigh = (partHigh[one] as number) | (partHigh[other] as number);
      for (let member = 0; member < this.#wires; member += 1) {
        if (!this.#has(low, high, member)) continue;
        const at = row * this.#wires + member;
        joinLow[at] = low;
        joinHigh[at] = high;
        partLow[at] = apartLow;
        partHigh[at] = apartHigh;
      }
    }
  }
}

/** How many lie in each net, by its first member. */
function sizesOf(nets: readonly number[]): Int32Array {
  const sizes = new Int32Array(nets.length);
  for (const net of nets) sizes[net] = (sizes[net] as number) + 1;
  return sizes;
}

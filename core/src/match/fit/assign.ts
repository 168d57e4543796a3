import type { Ground } from './ground.js';
import { Gains } from './gains.js';
import { Lay } from './lay.js';
import { WireSets } from './wire-sets.js';
import type { CompiledDemand } from './wires.js';

/**
 * Which wire each terminal takes; -1: none. 'none' is proved; `forGood`: with any number of junctions more too. 'undecided': the
 * search was cut off, neither yes nor no.
 */
export type Assigned =
  | { kind: 'found'; wireOf: number[]; nodes: number }
  | { kind: 'none'; forGood: boolean; nodes: number }
  | { kind: 'undecided'; nodes: number };

/** Where the search is held. */
export interface AssignLimits {
  /** The first rows of the ground stand for as many positions of the demand; the others the handle passes: there only what must never meet is looked at. */
  demanded: number;
  /** Added junctions: terminals beyond one for each wire. */
  junctions: number;
  /** Steps after which it is cut off. */
  nodes: number;
}

/**
 * Looks for an assignment of wires to terminals, at least one terminal each, at most so many more in all, under which every demanded
 * row has exactly the joins that are demanded. Depth first on the wire with the fewest terminals left for it; a terminal is ruled
 * out where it would join what must part, or leave a net in more pieces than there are junctions to mend it. Of terminals that are
 * alike one is tried; what was tried in vain is not tried again further down.
 */
export function assignWires(demand: CompiledDemand, ground: Ground, limits: AssignLimits): Assigned {
  return new Assignment(demand, ground, limits).run();
}

/** Free terminals that can stand for one another, under the first of them. */
type Alike = readonly number[];
/** What was tried on a pole was not read since it changed. */
const UNREAD = -1;

type Option = [alike: Alike, wire: number];

/** One search. */
class Assignment {
  readonly #lay: Lay;
  readonly #gains: Gains;
  /** Terminals of a pole that are taken. */
  readonly #taken: Int32Array;
  readonly #members: number[][];
  /** Wires that a terminal must not take any more: that was tried. */
  readonly #tried: WireSets;
  /** How many such there are in a pole, and a number for which those are: equal in poles of one making where the same was tried. */
  readonly #triedIn: Int32Array;
  readonly #state: Int32Array;
  readonly #states = new Map<string, number>();
  #nodes = 0;
  #cut = false;
  #hadTooFew = false;

  constructor(
    private readonly demand: CompiledDemand,
    private readonly ground: Ground,
    private readonly limits: AssignLimits,
  ) {
    this.#lay = new Lay(demand, ground, limits.demanded, limits.junctions);
    this.#gains = new Gains(demand, ground, limits.demanded);
    const poles = 1 + Math.max(-1, ...ground.pole);
    this.#taken = new Int32Array(poles);
    this.#triedIn = new Int32Array(poles);
    this.#state = new Int32Array(poles);
    this.#members = Array.from({ length: poles }, () => []);
    ground.pole.forEach((pole, terminal) => this.#members[pole]?.push(terminal));
    this.#tried = new WireSets(ground.terminals, demand.wires);
  }

  run(): Assigned {
    const found = this.#extend(0, this.limits.junctions);
    const nodes = this.#nodes;
    if (found) return { kind: 'found', wireOf: [...this.#lay.wireOf], nodes };
    return this.#cut ? { kind: 'undecided', nodes } : { kind: 'none', forGood: !this.#hadTooFew, nodes };
  }

  #extend(depth: number, left: number): boolean {
    const choice = this.#choose(depth, left);
    if (choice === 'done') return true;
    if (choice === null) return false;
    const lay = this.#lay;
    let untried = 0;
    let found = false;
    for (const [alike, wire] of choice) {
      if (this.#nodes >= this.limits.nodes) {
        this.#cut = true;
        break;
      }
      this.#nodes += 1;
      const terminal = alike[0] as number;
      const pole = this.ground.pole[terminal] as number;
      const isFirst = lay.on(wire) === 0;
      lay.put(depth, terminal, wire);
      this.#gains.take(wire, terminal, isFirst, 1);
      this.#taken[pole] = (this.#taken[pole] as number) + 1;
      found = this.#extend(depth + 1, left - Number(!isFirst));
      if (found) return true;
      lay.lift(terminal, wire);
      this.#gains.take(wire, terminal, isFirst, -1);
      this.#taken[pole] = (this.#taken[pole] as number) - 1;
      if (this.#cut) break;
      untried += 1;
      if (this.limits.junctions > 0) for (const one of alike) this.#try(one, wire, 1);
    }
    if (this.limits.junctions > 0)
      for (const [alike, wire] of choice.slice(0, untried)) for (const one of alike) this.#try(one, wire, -1);
    return false;
  }

  /** Notes that a wire was tried on a terminal in vain, or that this counts no more. */
  #try(terminal: number, wire: number, by: 1 | -1): void {
    const { cells, words } = this.#tried;
    const word = terminal * words + (wire >>> 5);
    cells.set(word, cells.get(word) ^ (1 << (wire & 31)));
    const pole = this.ground.pole[terminal] as number;
    this.#triedIn[pole] = (this.#triedIn[pole] as number) + by;
    this.#state[pole] = UNREAD;
  }

  /** What was tried on the terminals of a pole, as a number. */
  #stateOf(pole: number): number {
    const known = this.#state[pole] as number;
    if (known !== UNREAD) return known;
    const { cells, words } = this.#tried;
    let text = '';
    for (const terminal of this.#members[pole] as number[])
      for (let word = terminal * words; word < (terminal + 1) * words; word += 1)
        text += `${cells.get(word)},`;
    let state = this.#states.get(text);
    if (state === undefined) this.#states.set(text, (state = this.#states.size));
    return (this.#state[pole] = state);
  }

  /** The free terminals, those together that can stand for one another as it is now. */
  #free(): Alike[] {
    const groups = new Map<number, number[]>();
    for (let terminal = 0; terminal < this.ground.terminals; terminal += 1) {
      if (this.#lay.wireOf[terminal] !== -1) continue;
      const key = this.#likeness(terminal);
      const group = groups.get(key);
      if (group) group.push(terminal);
      else groups.set(key, [terminal]);
    }
    return [...groups.values()];
  }

  /** Two free terminals of the same likeness can stand for each other without touching what is taken already. */
  #likeness(terminal: number): number {
    const { pole, place, spot, twin, terminals } = this.ground;
    const of = pole[terminal] as number;
    const untouched = this.#taken[of] === 0;
    if (this.#triedIn[of] === 0)
      return untouched ? (place[terminal] as number) : -1 - (twin[terminal] as number);
    // Where something was tried, twins are told apart: that costs time only.
    if (!untouched) return -1 - terminals - terminal;
    return (1 + this.#stateOf(of)) * 2 * terminals + (spot[terminal] as number);
  }

  #fits(depth: number, terminal: number, wire: number, left: number): boolean {
    if (this.#tried.has(terminal, wire) || this.#lay.clashes(depth, terminal, wire)) return false;
    const isFirst = this.#lay.on(wire) === 0;
    const junctions = left - Number(!isFirst);
    const mayDo = junctions >= 0 && this.#gains.mayReach(wire, terminal, isFirst, junctions);
    if (mayDo && this.#lay.isMendable(depth, terminal, wire, junctions)) return true;
    this.#hadTooFew = true;
    return false;
  }

  /** The wire with the fewest terminals for it; where all have one, what mends the first net that is in pieces. */
  #choose(depth: number, left: number): Option[] | 'done' | null {
    const free = this.#free();
    let best: Option[] | null = null;
    for (let wire = 0; wire < this.demand.wires; wire += 1) {
      if (this.#lay.on(wire) > 0) continue;
      const options: Option[] = [];
      for (const alike of free)
        if (this.#fits(depth, alike[0] as number, wire, left)) {
          options.push([alike, wire]);
          // It is not the one with the fewest.
          if (best && options.length >= best.length) break;
        }
      if (options.length === 0) return null;
      if (!best || options.length < best.length) best = options;
    }
    return best ?? this.#mend(depth, left, free);
  }

  /** Every way to join a piece of a broken net to another; 'done' where none is broken, null where none can be mended. */
  #mend(depth: number, left: number, free: readonly Alike[]): Option[] | 'done' | null {
    const at = this.#lay.broken(depth);
    if (at < 0) return 'done';
    const options: Option[] = [];
    // Some further terminal of a wire that may be joined to this piece mends it or comes nearer to that.
    for (let other = 0; other < this.demand.wires && left > 0; other += 1) {
      if (this.#lay.isKeptFrom(depth, at, other)) continue;
      for (const alike of free)
        if (this.#fits(depth, alike[0] as number, other, left)) options.push([alike, other]);
    }
    this.#hadTooFew ||= left === 0;
    return options.length === 0 ? null : options;
  }
}

import { assignWires, type Assigned } from './assign.js';
import { Cutter, type Cut } from './cut.js';
import type { Ground } from './ground.js';
import { walkMaps, type MapRules, type PositionMap } from './position-maps.js';
import type { CompiledPart } from './part.js';
import type { CompiledDemand } from './wires.js';

/** How far it is looked. */
export interface FitRules extends MapRules {
  /** Added junctions at most. */
  jumpers: number;
  /** Steps of the search for one part before it is given up as undecided. */
  nodes: number;
}

export const PLAIN_RULES: FitRules = {
  jumpers: 0,
  gaps: false,
  reversed: true,
  wraps: false,
  nodes: 200_000,
};

/** A part that does what is demanded. */
export interface Fit extends PositionMap {
  kind: 'fits';
  /** By terminal of the part: the wire on it; -1: none. */
  wireOf: number[];
  /** Terminals beyond one for each wire: junctions that have to be added. */
  jumpers: number;
  nodes: number;
}

/**
 * What came out for a part. `no`: proved, within the rules: 'without an added junction' where none was allowed. `undecided`:
 * neither.
 */
export type FitResult = Fit | { kind: 'no' | 'undecided'; nodes: number };

/** More ways than this to lay a part are not looked at: the first is best by what it costs in junctions and gaps. */
const MOST_WAYS = 24;

/** Cuts whose answers are kept. */
const MOST_KEPT = 100_000;

/** What was found for a cut. */
interface Known {
  /** So many junctions don't do: proved. */
  none: number;
  /** So many do. */
  found: { junctions: number; wireOf: number[] } | null;
  /** It was cut off with so many. */
  undecided: number;
  /** Steps that it took. */
  nodes: number;
}

/** Shapes stand for the same whatever is demanded: they are kept for all demands. */
let cutter = new Cutter();

/**
 * Whether parts do what is demanded: with the fewest added junctions, without gaps before with, in the same order before the
 * reversed one. Exact within the cap of steps. What was worked out for some positions of one part is kept for all others that are
 * made alike there.
 */
export class Fitter {
  readonly #known = new Map<string, Known>();
  readonly #cutter: Cutter;

  constructor(
    private readonly demand: CompiledDemand,
    private readonly rules: FitRules = PLAIN_RULES,
  ) {
    if (cutter.isFull) cutter = new Cutter();
    this.#cutter = cutter;
  }

  fit(part: CompiledPart): FitResult {
    const { ways, kind, nodes } = this.#ways(part, 1);
    return ways[0] ?? { kind, nodes };
  }

  /** Every way to lay the positions in which a part does what is demanded, with the fewest junctions that do at all; up to a number. */
  everyWay(part: CompiledPart): Fit[] {
    return this.#ways(part, MOST_WAYS).ways;
  }

  #ways(part: CompiledPart, most: number): { ways: Fit[]; kind: 'no' | 'undecided'; nodes: number } {
    const { demand, rules } = this;
    const ways: Fit[] = [];
    let kind: 'no' | 'undecided' = 'no';
    if (demand.impossible || demand.wires > part.terminals || demand.positions > part.positions)
      return { ways, kind, nodes: 0 };
    const spare = Math.min(rules.jumpers, part.terminals - demand.wires);
    const counted = new Set<Known>();
    let nodes = 0;
    for (let junctions = 0; junctions <= spare; junctions += 1) {
      let mayBeMended = false;
      walkMaps(demand, part, rules, (map, isWhole) => {
        const { known, rows, cut } = this.#look(part, map, junctions);
        nodes += 1 + (counted.has(known) ? 0 : known.nodes);
        counted.add(known);
        mayBeMended ||= known.none < spare;
        const does = known.found !== null && known.found.junctions <= junctions;
        if (isWhole && does) ways.push(this.#fit(part, map, rows, cut, known, nodes));
        if (isWhole && known.undecided >= junctions && !does) kind = 'undecided';
        if (nodes >= rules.nodes && ways.length === 0) kind = 'undecided';
        if (ways.length >= most || nodes >= rules.nodes) return 'stop';
        return known.none >= junctions ? 'prune' : 'on';
      });
      if (ways.length > 0 || !mayBeMended || nodes >= rules.nodes) break;
    }
    return { ways, kind, nodes };
  }

  /** What is known of a part in the positions of a map, with so many junctions at most; the map may be of the first positions alone. */
  #look(part: CompiledPart, map: PositionMap, junctions: number): { known: Known; rows: number[]; cut: Cut } {
    const { demand, rules } = this;
    const guards = demand.never.length > 0 ? map.between : [];
    const rows = [...map.positions, ...guards];
    const cut = this.#cutter.cut(part, rows, demand.wires + rules.jumpers);
    const key = `${map.positions.length} ${guards.length} ${cut.key}`;
    let known = this.#known.get(key);
    if (!known) {
      if (this.#known.size >= MOST_KEPT) this.#known.clear();
      this.#known.set(key, (known = { none: -1, found: null, undecided: -1, nodes: 0 }));
    }
    const isAnswered =
      known.none >= junctions ||
      known.undecided >= junctions ||
      (known.found?.junctions ?? Infinity) <= junctions;
    if (!isAnswered) this.#search(known, cut, map.positions.length, rows.length, junctions);
    return { known, rows, cut };
  }

  #search(known: Known, cut: Cut, demanded: number, rows: number, junctions: number): void {
    const { demand, rules } = this;
    const ground = groundOf(cut, rows);
    const limits = { demanded, junctions, nodes: rules.nodes };
    const note = (found: Assigned) => {
      known.nodes += found.nodes + 1;
      if (found.kind === 'none') known.none = found.forGood ? Infinity : junctions;
      return found.kind === 'none';
    };
    // A piece that cannot be had there alone, then the whole cannot.
    if (demand.pieces.some((piece) => note(assignWires(piece, ground, limits)))) return;
    const found = assignWires(demand, ground, limits);
    if (note(found)) return;
    if (found.kind === 'found') known.found = { junctions, wireOf: found.wireOf };
    else known.undecided = junctions;
  }

  #fit(
    part: CompiledPart,
    map: PositionMap,
    rows: readonly number[],
    cut: Cut,
    { found }: Known,
    nodes: number,
  ): Fit {
    const wireOf = new Array<number>(part.terminals).fill(-1);
    this.#cutter.terminals(part, rows, cut).forEach((terminal, at) => {
      wireOf[terminal] = found?.wireOf[at] ?? -1;
    });
    const used = wireOf.filter((wire) => wire >= 0).length;
    return { kind: 'fits', ...map, wireOf, jumpers: used - this.demand.wires, nodes };
  }
}

/** What a cut offers to wires: its pieces one after another, then the dead terminals. */
function groundOf({ shapes, dead }: Cut, rows: number): Ground {
  const [pole, place, spot, twin]: [number[], number[], number[], number[]] = [[], [], [], []];
  const pattern: number[][] = Array.from({ length: rows }, () => []);
  let [poles, places] = [0, 0];
  for (const { shape, count } of shapes) {
    const size = shape.twin.length;
    for (let copy = 0; copy < count; copy += 1) {
      const start = pole.length;
      shape.pattern.forEach((row, at) => pattern[at]?.push(...row.map((net) => start + net)));
      shape.twin.forEach((one, at) => {
        pole.push(poles);
        place.push(places + one);
        spot.push(places + at);
        twin.push(start + one);
      });
      poles += 1;
    }
    places += size;
  }
  const first = pole.length;
  for (let at = 0; at < dead; at += 1) {
    for (const row of pattern) row.push(first + at);
    pole.push(poles + at);
    place.push(places);
    spot.push(places);
    twin.push(first);
  }
  return { terminals: pole.length, pattern, pole, place, spot, twin };
}

/** Whether one part does what is demanded. */
export const fitPart = (
  demand: CompiledDemand,
  part: CompiledPart,
  rules: FitRules = PLAIN_RULES,
): FitResult => new Fitter(demand, rules).fit(part);

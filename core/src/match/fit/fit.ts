import { assignWires, type AssignLimits } from './assign.js';
import { positionMaps, type MapRules, type PositionMap } from './position-maps.js';
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

/**
 * Whether a part does what is demanded: with the fewest added junctions, without gaps before with, in the same order before the
 * reversed one. Exact within the cap of steps.
 */
export function fitPart(
  demand: CompiledDemand,
  part: CompiledPart,
  rules: FitRules = PLAIN_RULES,
): FitResult {
  const { jumpers: most, nodes: cap } = rules;
  if (demand.impossible || demand.wires > part.terminals || demand.positions > part.positions)
    return { kind: 'no', nodes: 0 };
  let nodes = 0;
  let undecided = false;
  const spare = Math.min(most, part.terminals - demand.wires);
  for (let jumpers = 0; jumpers <= spare; jumpers += 1)
    for (const map of positionMaps(demand, part, rules)) {
      const guards = demand.never.length > 0 ? map.between : [];
      const piece = pieceFails(demand, part, { ...map, guards, jumpers, nodes: cap - nodes });
      nodes += piece.nodes;
      if (piece.fails) continue;
      const found = assignWires(demand, part, {
        positions: map.positions,
        guards,
        jumpers,
        nodes: cap - nodes,
      });
      nodes += found.nodes + 1;
      if (found.kind === 'found') {
        const used = found.wireOf.filter((wire) => wire >= 0).length;
        return { kind: 'fits', ...map, wireOf: found.wireOf, jumpers: used - demand.wires, nodes };
      }
      if (found.kind === 'undecided') undecided = true;
      if (nodes >= cap) return { kind: 'undecided', nodes };
    }
  return { kind: undecided ? 'undecided' : 'no', nodes };
}

/** More ways than this to lay a part are not looked at: the first is best by what it costs in junctions and gaps. */
const MOST_WAYS = 24;

/** Every way to lay the positions in which a part does what is demanded, with the fewest junctions that do at all; up to a number. */
export function fitEveryWay(
  demand: CompiledDemand,
  part: CompiledPart,
  rules: FitRules = PLAIN_RULES,
): Fit[] {
  const spare = Math.min(rules.jumpers, part.terminals - demand.wires);
  for (let jumpers = 0; jumpers <= spare; jumpers += 1) {
    const ways: Fit[] = [];
    let nodes = 0;
    for (const map of positionMaps(demand, part, rules)) {
      const guards = demand.never.length > 0 ? map.between : [];
      const asked = { positions: map.positions, guards, jumpers, nodes: rules.nodes - nodes };
      const found = assignWires(demand, part, asked);
      nodes += found.nodes + 1;
      if (found.kind === 'found') {
        const used = found.wireOf.filter((wire) => wire >= 0).length;
        ways.push({
          kind: 'fits',
          ...map,
          wireOf: found.wireOf,
          jumpers: used - demand.wires,
          nodes,
        });
      }
      if (ways.length >= MOST_WAYS || nodes >= rules.nodes) break;
    }
    if (ways.length > 0) return ways;
  }
  return [];
}

/** Whether some piece of the demand alone cannot be had there: then the whole cannot. Each piece gets the whole allowance. */
function pieceFails(
  { pieces }: CompiledDemand,
  part: CompiledPart,
  asked: AssignLimits,
): { fails: boolean; nodes: number } {
  let nodes = 0;
  for (const piece of pieces) {
    const found = assignWires(piece, part, { ...asked, nodes: Math.max(1, asked.nodes - nodes) });
    nodes += found.nodes;
    if (found.kind === 'none') return { fails: true, nodes };
  }
  return { fails: false, nodes };
}

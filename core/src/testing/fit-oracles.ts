import Logic from 'logic-solver';
import { isFit } from '../match/fit/verify-fit.js';
import type { WireDemand } from '../match/index.js';
import { partitionFromGroups, type Pattern } from '../partition/index.js';

/** Every order-keeping or reversing choice of positions, with what lies between: the definition, tried in full. */
function* everyMap(
  wanted: number,
  given: number,
  gaps: boolean,
): Generator<{ at: number[]; between: number[] }> {
  function* choose(from: number, left: number): Generator<number[]> {
    if (left === 0) yield [];
    else
      for (let at = from; at <= given - left; at += 1)
        for (const rest of choose(at + 1, left - 1)) yield [at, ...rest];
  }
  for (const at of choose(0, wanted)) {
    const [first, last] = [at[0] ?? 0, at.at(-1) ?? 0];
    const between = Array.from({ length: last - first + 1 }, (_, step) => first + step).filter(
      (one) => !at.includes(one),
    );
    if (between.length > 0 && !gaps) continue;
    yield { at, between };
    if (wanted > 1) yield { at: at.toReversed(), between };
  }
}

/** By the definition: every way to give wires to terminals, looked at by the verifier alone. The fewest junctions, or null. */
export function bruteForce(demand: WireDemand, part: Pattern, most: number, gaps: boolean): number | null {
  const terminals = part[0]?.length ?? 0;
  let fewest: number | null = null;
  const wireOf = new Array<number>(terminals).fill(-1);
  const maps = [...everyMap(demand.positions.length, part.length, gaps)];
  const extend = (at: number, used: number): void => {
    if (at === terminals) {
      if (used < demand.wires || (fewest !== null && used - demand.wires >= fewest)) return;
      const fits = maps.some(({ at: positions, between }) =>
        isFit(demand, part, {
          kind: 'fits',
          wireOf,
          positions,
          between,
          reversed: (positions[0] ?? 0) > (positions[1] ?? positions.length),
          jumpers: 0,
          nodes: 0,
        }),
      );
      if (fits) fewest = used - demand.wires;
      return;
    }
    extend(at + 1, used);
    if (used >= demand.wires + most) return;
    for (let wire = 0; wire < demand.wires; wire += 1) {
      wireOf[at] = wire;
      extend(at + 1, used + 1);
      wireOf[at] = -1;
    }
  };
  extend(0, 0);
  return fewest;
}

/** The same as a question of logic (logic-solver, a SAT solver): whether so many junctions do in some map. */
export function bySat(demand: WireDemand, part: Pattern, most: number, gaps: boolean): boolean {
  const { wires, positions, never } = demand;
  const terminals = part[0]?.length ?? 0;
  const every = (size: number) => Array.from({ length: size }, (_, at) => at);
  return [...everyMap(positions.length, part.length, gaps)].some(({ at, between }) => {
    const solver = new Logic.Solver();
    const takes = (terminal: number, wire: number) => `t${terminal}w${wire}`;
    for (const terminal of every(terminals))
      solver.require(Logic.atMostOne(...every(wires).map((wire) => takes(terminal, wire))));
    for (const wire of every(wires))
      solver.require(Logic.or(every(terminals).map((terminal) => takes(terminal, wire))));
    const all = every(terminals).flatMap((terminal) => every(wires).map((wire) => takes(terminal, wire)));
    solver.require(Logic.lessThanOrEqual(Logic.sum(all), Logic.constantBits(wires + most)));
    [...at, ...between].forEach((place, row) => {
      const touches = (a: number, b: number) =>
        Logic.or(
          every(terminals).flatMap((one) =>
            every(terminals).flatMap((other) =>
              part[place]?.[one] === part[place]?.[other] ? [Logic.and(takes(one, a), takes(other, b))] : [],
            ),
          ),
        );
      // Reached in at most so many steps as there are wires.
      let reached = every(wires).map((a) => every(wires).map((b) => (a === b ? Logic.TRUE : touches(a, b))));
      for (let step = 1; step < wires; step *= 2)
        reached = every(wires).map((a) =>
          every(wires).map((b) =>
            Logic.or(every(wires).map((c) => Logic.and(reached[a]?.[c] ?? '', reached[c]?.[b] ?? ''))),
          ),
        );
      const said = row < at.length ? positions[row] : null;
      const nets = said ? partitionFromGroups(wires, said.joined) : null;
      const free = new Set((said?.free ?? []).flatMap(([a, b]) => [`${a} ${b}`, `${b} ${a}`]));
      for (const a of every(wires))
        for (const b of every(wires).slice(a + 1)) {
          const meets = reached[a]?.[b] ?? '';
          if (never.some((pair) => pair.includes(a) && pair.includes(b))) solver.require(Logic.not(meets));
          if (!nets) continue;
          if (nets[a] === nets[b]) solver.require(meets);
          else if (!free.has(`${a} ${b}`)) solver.require(Logic.not(meets));
        }
    });
    return solver.solve() !== null;
  });
}

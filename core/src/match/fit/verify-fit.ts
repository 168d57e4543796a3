import { partitionOf, type Pattern } from '../../partition/index.js';
import type { Fit } from './fit.js';
import type { WireDemand } from './wires.js';

/**
 * Whether an answer really does what is demanded, looked at anew from the demand and the part's nets alone: every wire on a
 * terminal, the positions in order, every join and every part in each of them, and nothing that must never meet in a position
 * that lies between. It shares no code with the search.
 */
export function isFit(demand: WireDemand, pattern: Pattern, fit: Fit): boolean {
  const { wires, positions, never } = demand;
  const has = new Set(fit.wireOf.filter((wire) => wire >= 0));
  if (has.size !== wires || fit.positions.length !== positions.length) return false;
  if (new Set(fit.positions).size !== positions.length) return false;
  const netsAt = (place: number) =>
    partitionOf(
      wires,
      fit.wireOf.flatMap((one, a) =>
        fit.wireOf.flatMap((other, b): [number, number][] =>
          one >= 0 && other >= 0 && a < b && pattern[place]?.[a] === pattern[place]?.[b]
            ? [[one, other]]
            : [],
        ),
      ),
    );
  const meets = (nets: readonly number[]) => never.some(([a, b]) => nets[a] === nets[b]);
  return (
    fit.between.every((place) => !meets(netsAt(place))) &&
    positions.every(({ joined, free }, position) => {
      const nets = netsAt(fit.positions[position] as number);
      if (meets(nets)) return false;
      const wanted = partitionOf(
        wires,
        joined.flatMap((group) => group.slice(1).map((wire): [number, number] => [group[0] as number, wire])),
      );
      const loose = new Set(free.flatMap(([a, b]) => [`${a} ${b}`, `${b} ${a}`]));
      for (let a = 0; a < wires; a += 1)
        for (let b = a + 1; b < wires; b += 1) {
          if (wanted[a] === wanted[b] && nets[a] !== nets[b]) return false;
          if (wanted[a] !== wanted[b] && nets[a] === nets[b] && !loose.has(`${a} ${b}`)) return false;
        }
      return true;
    })
  );
}

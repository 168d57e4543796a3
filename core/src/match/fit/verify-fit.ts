import { partitionOf, type Pattern } from '../../partition/index.js';
import type { Fit } from './fit.js';
import type { WireDemand } from './wires.js';

/** The positions that a handle passes over from the first of `places` to the last, in one direction; null: it does not meet them so. */
function passedOver(
  places: readonly number[],
  given: number,
  reversed: boolean,
  wraps: boolean,
): number[] | null {
  const passed: number[] = [];
  let [met, place] = [1, places[0] as number];
  for (let step = 1; step < given && met < places.length; step += 1) {
    const next = place + (reversed ? -1 : 1);
    if (!wraps && (next < 0 || next >= given)) return null;
    place = (next + given) % given;
    if (place === places[met]) met += 1;
    else passed.push(place);
  }
  return met === places.length ? passed : null;
}

/**
 * Whether an answer really does what is demanded, looked at anew from the demand and the part's nets alone: every wire on a
 * terminal, the positions met in order as the handle goes on, what lies between named in full, every join and every part in each of
 * them, and nothing that must never meet on the way. It shares no code with the search.
 */
export function isFit(demand: WireDemand, pattern: Pattern, fit: Fit, wraps = false): boolean {
  const { wires, positions, never } = demand;
  const has = new Set(fit.wireOf.filter((wire) => wire >= 0));
  if (has.size !== wires || fit.positions.length !== positions.length) return false;
  const passed = passedOver(fit.positions, pattern.length, fit.reversed, wraps);
  if (!passed || passed.toSorted().join() !== fit.between.toSorted().join()) return false;
  const netsAt = (place: number) => {
    const first = new Map<number, number>();
    const pairs: [number, number][] = [];
    fit.wireOf.forEach((wire, terminal) => {
      const net = pattern[place]?.[terminal] ?? -1;
      if (wire < 0 || net < 0) return;
      pairs.push([first.get(net) ?? wire, wire]);
      if (!first.has(net)) first.set(net, wire);
    });
    return partitionOf(wires, pairs);
  };
  const meets = (nets: readonly number[]) => never.some(([a, b]) => nets[a] === nets[b]);
  return (
    passed.every((place) => !meets(netsAt(place))) &&
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

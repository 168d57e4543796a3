import { relabel, type Pattern } from '../partition/index.js';
import { shuffled } from '../switch/index.js';
import type { WireDemand } from '../match/index.js';

/** A random whole number below a limit. */
const below = (random: () => number, limit: number): number => Math.floor(random() * limit);

/** A random part: as many poles as come, in each position some nets. */
export function randomPart(random: () => number, terminals: number, positions: number): Pattern {
  return Array.from({ length: positions }, () => {
    const nets = Array.from({ length: terminals }, (_, place) => place);
    for (let join = below(random, Math.max(1, terminals - 1)); join > 0; join -= 1) {
      const [a, b] = [below(random, terminals), below(random, terminals)];
      const [one, other] = [
        Math.min(nets[a] as number, nets[b] as number),
        Math.max(nets[a] as number, nets[b] as number),
      ];
      nets.forEach((net, place) => {
        if (net === other) nets[place] = one;
      });
    }
    return nets;
  });
}

/**
 * A demand that a part meets in its own way, or nearly: some of its terminals as wires, two on one wire where a junction is
 * wanted, some of its positions; then perhaps a pair that does not matter, a pair that must never meet, or one join changed.
 */
export function plantedDemand(
  random: () => number,
  part: Pattern,
  wires: number,
  junctions: number,
): WireDemand {
  const terminals = part[0]?.length ?? 0;
  const order = shuffled(
    Array.from({ length: terminals }, (_, place) => place),
    random,
  );
  const wireOf = new Map(
    order
      .slice(0, wires + junctions)
      .map((terminal, at) => [terminal, at < wires ? at : below(random, wires)]),
  );
  const used = part.map((_, at) => at).filter(() => random() < 0.7);
  const chosen = used.length > 0 ? used : [0];
  if (random() < 0.3) chosen.reverse();
  const positions = chosen.map((at) => {
    const nets = part[at] as number[];
    const groups = new Map<number, Set<number>>();
    for (const [terminal, wire] of wireOf) {
      const net = nets[terminal] as number;
      groups.set(net, (groups.get(net) ?? new Set()).add(wire));
    }
    const joined = [...groups.values()].filter((group) => group.size > 1).map((group) => [...group]);
    if (random() < 0.25) joined.push([below(random, wires), below(random, wires)]);
    const free: [number, number][] = random() < 0.3 ? [[below(random, wires), below(random, wires)]] : [];
    return {
      joined: joined.map((group) => [...new Set(group)]).filter((group) => group.length > 1),
      free: free.filter(([a, b]) => a !== b),
    };
  });
  const pair: [number, number] = [below(random, wires), below(random, wires)];
  return { wires, positions, never: random() < 0.3 && pair[0] !== pair[1] ? [pair] : [] };
}

/** A part with its terminals in another order. */
export const scrambled = (random: () => number, part: Pattern): Pattern =>
  relabel(
    part,
    shuffled(
      (part[0] ?? []).map((_, place) => place),
      random,
    ),
  );

import type { LoadDoes } from './load-state.js';
import { endKey, endsOf, type Circuit } from '../wiring/circuit.js';
import type { Powered } from './power.js';

/** What carries current: leads by their place, and joins between terminals of the switch, each the smaller place first. */
export interface Carrying {
  leads: Set<number>;
  joins: Set<string>;
}

export const joinName = (a: number, b: number): string => `${Math.min(a, b)} ${Math.max(a, b)}`;

const TAKES: ReadonlySet<LoadDoes> = new Set(['full', 'part', 'reversed', 'stalled']);

interface Edge {
  to: number;
  lead: number | null;
}

/** The way of the current through leads and contacts: in each net, the shortest ways between what brings it and what takes it. */
export function carryingOf(circuit: Circuit, { loads, nets }: Powered): Carrying {
  const carrying: Carrying = { leads: new Set(), joins: new Set() };
  const { terminals, leads, supplyNode, endNode } = circuit;
  const edges = new Map<number, Edge[]>();
  const add = (from: number, to: number, lead: number | null) =>
    edges.set(from, [...(edges.get(from) ?? []), { to, lead }]);
  leads.forEach(({ a, b }, at) => {
    add(a, b, at);
    add(b, a, at);
  });
  const wired = terminals.map((_, place) => place).filter((place) => edges.has(place));
  for (const a of wired) for (const b of wired) if (a !== b && nets[a] === nets[b]) add(a, b, null);
  const takers = circuit.loads
    .filter(({ id }) => TAKES.has(loads.get(id)?.does ?? 'off'))
    .flatMap((load) => endsOf(load).map((end) => endNode.get(endKey(load.id, end)) as number));
  const netsTaken = new Set(takers.map((node) => nets[node]));
  const points = [...takers, ...[...supplyNode.values()].filter((node) => netsTaken.has(nets[node]))];
  for (const net of netsTaken) {
    const [first, ...others] = points.filter((node) => nets[node] === net);
    if (first === undefined) continue;
    const came = cameFrom(edges, first);
    for (const other of others)
      for (let node = other; node !== first;) {
        const step = came.get(node);
        if (!step) break;
        if (step.lead === null) carrying.joins.add(joinName(step.to, node));
        else carrying.leads.add(step.lead);
        node = step.to;
      }
  }
  return carrying;
}

/** Breadth first: for each node that is reached, the step back. */
function cameFrom(edges: ReadonlyMap<number, readonly Edge[]>, start: number): Map<number, Edge> {
  const came = new Map<number, Edge>();
  const queue = [start];
  for (let at = 0; at < queue.length; at += 1) {
    const node = queue[at] as number;
    for (const { to, lead } of edges.get(node) ?? [])
      if (to !== start && !came.has(to)) {
        came.set(to, { to: node, lead });
        queue.push(to);
      }
  }
  return came;
}

import { blocks, partitionFromGroups, partitionOf, type Partition } from '../../partition/index.js';
import type { Conducts } from '../../log/index.js';
import type { LoadId } from '../../switch/index.js';
import { endKey, endsOf, windingsOf, type Circuit } from '../wiring/circuit.js';
import type { MachineFault } from '../power/power.js';
import { joinsAtRest } from '../power/settled.js';
import { lugOf, type Fault } from './fault.js';

/** How a dead machine conducts in a setting, by node. */
export interface Conduction {
  /** What is joined: contacts and wires. */
  nets: Partition;
  /** What hangs together, through loads and through a contact of high resistance as well. */
  reach: Partition;
  /** Roots of `reach` from which a wire goes that nobody has said: it may lead anywhere. */
  unsaid: ReadonlySet<number>;
}

/** Joins of a setting with a fault of a contact in it: where it does not close, its throw stands alone. */
export function joinsWith(nets: Partition, fault: Fault): [number, number][] {
  const dead = fault.kind === 'never-closes' || fault.kind === 'high' ? fault.contact : null;
  const groups = blocks(nets)
    .filter((net) => net.length > 1)
    .map((net) =>
      dead?.every((place) => net.includes(place)) ? net.filter((place) => place !== dead[1]) : net,
    );
  const also = fault.kind === 'never-opens' ? [[...fault.contact]] : [];
  const joined = partitionFromGroups(nets.length, [...groups, ...also]);
  return joined.flatMap((root, place): [number, number][] => (root === place ? [] : [[root, place]]));
}

/** The machine with a fault of its wires, loads or supplies. */
export function machineWith(circuit: Circuit, fault: Fault): { circuit: Circuit; fault: MachineFault } {
  switch (fault.kind) {
    case 'wire-off':
      return {
        circuit,
        fault: { off: new Set(circuit.leads.flatMap(({ wire }, at) => (wire === fault.wire ? [at] : []))) },
      };
    case 'wires-swapped': {
      const [one, other] = fault.wires;
      const leads = circuit.leads.map((lead) =>
        lead.wire === one
          ? { ...lead, a: lugOf(circuit, other) }
          : lead.wire === other
            ? { ...lead, a: lugOf(circuit, one) }
            : lead,
      );
      return { circuit: { ...circuit, leads }, fault: {} };
    }
    case 'load-open':
      return { circuit, fault: { dead: new Set([fault.load]) } };
    case 'supply-missing':
      return { circuit, fault: { missing: new Set([fault.supply]) } };
    default:
      return { circuit, fault: {} };
  }
}

/** Places that may lead anywhere: terminals with a wire whose end nobody has said, ends of loads of which an end is not said. */
function unsaidNodes({ open, halfSaid, loads, endNode }: Circuit): number[] {
  const halves = loads.filter(({ id }) => halfSaid.has(id));
  const endsAt = (load: (typeof loads)[number]) =>
    endsOf(load).map((end) => endNode.get(endKey(load.id, end)) as number);
  return [...open, ...halves.flatMap(endsAt)];
}

const windings = (circuit: Circuit, dead: ReadonlySet<LoadId> | undefined): [number, number][] =>
  circuit.loads.flatMap((load) =>
    dead?.has(load.id)
      ? []
      : windingsOf(load).map(([a, b]): [number, number] => [
          circuit.endNode.get(endKey(load.id, a)) as number,
          circuit.endNode.get(endKey(load.id, b)) as number,
        ]),
  );

/** How the dead machine conducts in a setting with a fault in it. A supply that is missing does not show. */
export function conductionWith(whole: Circuit, nets: Partition, fault: Fault): Conduction {
  const { circuit, fault: broken } = machineWith(whole, fault);
  const leads = circuit.leads.filter((_, at) => !broken.off?.has(at));
  const joined: [number, number][] = [
    ...joinsWith(nets, fault),
    ...joinsAtRest(circuit).map(([a, b]): [number, number] => [a, b]),
    ...leads.map(({ a, b }): [number, number] => [a, b]),
  ];
  const closes = fault.kind === 'high' && nets[fault.contact[0]] === nets[fault.contact[1]];
  const through = [
    ...windings(circuit, broken.dead),
    ...(closes ? [[...fault.contact] as [number, number]] : []),
  ];
  const reach = partitionOf(circuit.nodes, [...joined, ...through]);
  return {
    nets: partitionOf(circuit.nodes, joined),
    reach,
    unsaid: new Set(unsaidNodes(circuit).map((node) => reach[node] as number)),
  };
}

/** What is read between two nodes; undefined where a wire that nobody has said may join them. */
export function conductsBetween(
  { nets, reach, unsaid }: Conduction,
  a: number,
  b: number,
): Conducts | undefined {
  if (nets[a] === nets[b]) return 'closed';
  if (unsaid.has(reach[a] as number) || unsaid.has(reach[b] as number)) return undefined;
  return reach[a] === reach[b] ? 'ohms' : 'open';
}

import { makeOf, type Load, type LoadEnd } from '../../log/index.js';
import { meet, partitionOf, type Partition } from '../../partition/index.js';
import type { LoadId } from '../../switch/index.js';
import { joinsOf } from '../power/contacts.js';
import type { InSetting } from '../power/in-setting.js';
import { powered } from '../power/settled.js';
import { endKey, windingsOf, type Circuit } from '../wiring/circuit.js';
import type { Hazard } from './hazard.js';

// What must never be open while it works: an alternator's way to its battery, the secondary of a current transformer (common practice).

const mustStayClosed = (load: Load): boolean => {
  const make = makeOf(load);
  return make === 'alternator' || make === 'current-transformer';
};

/** Whether anything in a machine must stay closed. */
export const hasToStayClosed = ({ loads }: Circuit): boolean => loads.some(mustStayClosed);

/** Loads that must stay closed, and are not, by the nets as they stand. */
function openIn(circuit: Circuit, nets: Partition): LoadId[] {
  const { loads, supplies, endNode, supplyNode } = circuit;
  const netOf = (load: Load, end: LoadEnd) => nets[endNode.get(endKey(load.id, end)) as number] as number;
  return loads
    .filter((load) => {
      const make = makeOf(load);
      if (make === 'alternator')
        return !supplies.some(
          (one) => one.kind === '+' && nets[supplyNode.get(one.id) as number] === netOf(load, '+'),
        );
      return make === 'current-transformer' && !closedAround(circuit, nets, load);
    })
    .map(({ id }) => id);
}

/** Whether a current finds a way from one end of a load to the other outside of it: by contacts and wires, or through other loads. */
function closedAround({ loads, endNode, nodes }: Circuit, nets: Partition, load: Load): boolean {
  const node = (of: Load, end: LoadEnd) => nets[endNode.get(endKey(of.id, end)) as number] as number;
  const through = loads.flatMap((one) =>
    one === load ? [] : windingsOf(one).map(([a, b]): [number, number] => [node(one, a), node(one, b)]),
  );
  const reached = partitionOf(nodes, through);
  return reached[node(load, '1')] === reached[node(load, '2')];
}

export function leftOpen(circuit: Circuit, { setting, loads: states, known }: InSetting): Hazard[] {
  return openIn(circuit, known.nets)
    .filter((id) => states.get(id)?.does !== 'not-known')
    .map((load): Hazard => ({ kind: 'left-open', setting, load }));
}

/** What is open for a moment where the last contact breaks before the next one makes: only what joins in both settings joins then. */
export function inTheGap(
  circuit: Circuit,
  [one, other]: readonly [Partition, Partition],
  seen: boolean,
  { from, to }: { from: InSetting; to: InSetting },
): Hazard[] {
  const ends = { from: from.setting, to: to.setting };
  const { nets } = powered(circuit, joinsOf(meet(one, other)));
  const stood = [from, to].map(({ known }) => openIn(circuit, known.nets));
  return openIn(circuit, nets)
    .filter((load) => !stood.some((open) => open.includes(load)))
    .map((load): Hazard => ({ kind: 'left-open-in-passing', ...ends, load, certain: seen }));
}

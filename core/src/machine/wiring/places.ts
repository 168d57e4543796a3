import { pointKey, recordsOf, type LoadEnd, type MachinePlace } from '../../log/index.js';
import type { LoadId } from '../../switch/index.js';
import { endKey } from './circuit.js';
import { pinsOf, readableOf, terminalKeys } from './handles.js';
import type { Machine } from './machine.js';

/** The node of a place; undefined where it is not there any more. */
export function nodeOfPlace({ circuit, sameAs, handles }: Machine, place: MachinePlace): number | undefined {
  const same = (id: string) => sameAs.get(id) ?? id;
  switch (place.at) {
    case 'supply':
      return circuit.supplyNode.get(same(place.supply));
    case 'load':
      return circuit.endNode.get(endKey(same(place.load) as LoadId, place.end));
    default: {
      const key = pointKey(place);
      for (const handle of handles) {
        const at = terminalKeys(handle).indexOf(key);
        if (at >= 0) return handle.from + at;
      }
      return undefined;
    }
  }
}

/** The place of a node, as it is written down; null where no switch that can be read has it. */
export function placeOfNode(machine: Machine, node: number): MachinePlace | null {
  const { circuit, handles } = machine;
  const handle = handles.find(({ from, size }) => node >= from && node < from + size);
  if (handle?.of === 'device') {
    const pin = pinsOf(handle.device)[node - handle.from];
    return pin ? { at: 'device', device: handle.device.id, pin } : null;
  }
  if (handle) {
    const terminal = handle.map?.structure.terminals[node - handle.from]?.id;
    return terminal ? { at: 'terminal', ...jobOf(handle.job), terminal } : null;
  }
  const supply = circuit.supplies.find(({ id }) => circuit.supplyNode.get(id) === node)?.id;
  const [load, end] = ([...circuit.endNode].find(([, at]) => at === node)?.[0] ?? '').split(' ');
  for (const { job, map } of readableOf(handles)) {
    if (supply && recordsOf(map.log, 'supply-named').some(({ id }) => id === supply))
      return { at: 'supply', ...jobOf(job), supply };
    if (load && recordsOf(map.log, 'load-named').some(({ id }) => id === load))
      return { at: 'load', ...jobOf(job), load: load as LoadId, end: end as LoadEnd };
  }
  return null;
}

/** The job that is written down with something of a switch: none where it is the job of that very log. */
const jobOf = <Id>(job: Id | null): { job?: Id } => (job === null ? {} : { job });

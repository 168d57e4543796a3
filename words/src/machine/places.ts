import { pinsOf, placeOfNode, type Machine, type MachineHandle } from '@which-way/core/machine';
import type { MachinePlace, SystemPoint } from '@which-way/core/log';
import type { WireId } from '@which-way/core/switch';
import { newestTag } from '../tag/wires.js';
import { handleName, type JobNames } from './handles.js';
import { endWords, supplyAmong } from './loads.js';

/** Words for a machine: what it is made of, and what its jobs are called. */
export interface MachineNames {
  job: JobNames;
  machine: Machine;
}

/** The handle that has a terminal or a pin, by its place. */
export const handleAt = (
  place: number,
  { machine }: Pick<MachineNames, 'machine'>,
): MachineHandle | undefined =>
  machine.handles.find(({ from, size }) => place >= from && place < from + size);

/** A terminal or a pin by its place in the machine. */
export function placeLabel(place: number, names: Pick<MachineNames, 'machine'>): string {
  const handle = handleAt(place, names);
  if (!handle) return '?';
  const at = place - handle.from;
  if (handle.of === 'switch') return handle.map?.structure.terminals[at]?.label ?? '?';
  return pinsOf(handle.device)[at] ?? '?';
}

/** A place in a machine, as it is chosen and told. */
export function pointWords(point: SystemPoint | MachinePlace, { job, machine }: MachineNames): string {
  const { handles, circuit, sameAs } = machine;
  const handleOf = (id: string | undefined) =>
    handles.find((one) => one.of === 'switch' && (id === undefined || one.job === id));
  switch (point.at) {
    case 'terminal': {
      const found = handleOf(point.job);
      const map = found?.of === 'switch' ? found.map : null;
      const label = map?.structure.terminals.find(({ id }) => id === point.terminal)?.label;
      return handles.length === 1 || !found
        ? `terminal ${label ?? '?'}`
        : `${handleName(found, job)}, terminal ${label ?? '?'}`;
    }
    case 'wire': {
      const found = handleOf(point.job);
      const map = found?.of === 'switch' ? found.map : null;
      return `${job(point.job)}, ${map ? newestTag(map, point.wire) : 'a wire'}`;
    }
    case 'device': {
      const found = handles.find((one) => one.of === 'device' && one.device.id === point.device);
      return `${found?.of === 'device' ? found.device.name : 'a device'}, pin ${point.pin}`;
    }
    case 'supply': {
      const supply = circuit.supplies.find(({ id }) => id === (sameAs.get(point.supply) ?? point.supply));
      return supply ? supplyAmong(supply, circuit.supplies) : 'a supply that was removed';
    }
    case 'load': {
      const load = circuit.loads.find(({ id }) => id === (sameAs.get(point.load) ?? point.load));
      return load ? endWords(load, point.end) : 'a load that was removed';
    }
  }
}

/** A place where a probe is put: a lug, a pin, where a supply comes in, an end of a load. */
export function probeWords(node: number, names: MachineNames): string {
  const place = placeOfNode(names.machine, node);
  if (!place) return '?';
  const words = pointWords(place, names);
  return place.at === 'supply' ? `where ${words} comes in` : words;
}

/** A wire of any of the switches; of several, with whose it is. */
export function wireWords(wire: string, { job, machine: { handles } }: MachineNames): string {
  for (const handle of handles)
    if (handle.of === 'switch' && handle.map) {
      const text = newestTag(handle.map, wire as WireId);
      if (text !== 'a wire') return handles.length === 1 ? text : `${text} of ${handleName(handle, job)}`;
    }
  return 'a wire';
}

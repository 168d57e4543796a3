import { halfSaidOf, layNodes, type Machine } from '../circuit/index.js';
import { type Load, loadTiesOf, type Log, recordsOf, type Supply, type SystemPoint } from '../log/index.js';
import type { LoadId, TerminalId } from '../switch/index.js';
import { handlesOf, readableOf, terminalKeys, type Members, type SystemHandle } from './handles.js';
import { Wirer } from './wiring.js';

/** Several switches and devices in one machine. */
export interface System {
  machine: Machine;
  handles: readonly SystemHandle[];
  /** Loads and supplies that members name alike are taken as one: by the id of each, the id of the one that stands for it. */
  sameAs: ReadonlyMap<string, string>;
  /** Wires that end elsewhere, and pins, of which nobody has said what they go to. */
  loose: readonly SystemPoint[];
}

const plain = (text: string): string => text.trim().toLowerCase();
const supplyKey = ({ name, kind, current, volts }: Supply): string =>
  [plain(name), kind, current, volts].join('|');
const loadKey = ({ name, kind, make }: Load): string => [plain(name), kind, make].join('|');

/** The first of each key, and which one stands for which. */
function alike<Item extends { id: string }>(
  items: readonly Item[],
  keyOf: (item: Item) => string,
): { one: Item[]; sameAs: [string, string][] } {
  const first = new Map<string, Item>();
  for (const item of items) if (!first.has(keyOf(item))) first.set(keyOf(item), item);
  return {
    one: [...first.values()],
    sameAs: items.map((item) => [item.id, first.get(keyOf(item))?.id ?? item.id]),
  };
}

/**
 * The machine of a system: the terminals of all its switches and devices, with their supplies, loads, wires and joins. Supplies of one
 * kind, current, volts and name are one, and so are loads of one name, kind and make. What a wire goes to counts as not known where
 * neither its job nor the system says it, or where it goes to a switch that cannot be read.
 */
export function systemOf(log: Log, members: Members): System {
  const handles = handlesOf(log, members);
  const maps = readableOf(handles).map(({ map }) => map);
  const supplies = alike(
    maps.flatMap((map) => recordsOf(map.log, 'supply-named')),
    supplyKey,
  );
  const loads = alike(
    maps.flatMap((map) => recordsOf(map.log, 'load-named')),
    loadKey,
  );
  const sameAs = new Map([...supplies.sameAs, ...loads.sameAs]);
  const size = handles.reduce((sum, handle) => sum + handle.size, 0);
  const nodes = layNodes(size, supplies.one, loads.one);
  const { leads, open, loose } = new Wirer(log, handles, nodes, sameAs);
  const capped = maps
    .flatMap((map) => loadTiesOf(map.log))
    .filter(({ to }) => to.at === 'nowhere')
    .map(({ load, end }) => ({ load: (sameAs.get(load) ?? load) as LoadId, end }));
  return {
    handles,
    sameAs,
    loose,
    machine: {
      ...nodes,
      terminals: handles.flatMap((handle) => terminalKeys(handle)) as TerminalId[],
      supplies: supplies.one,
      loads: loads.one,
      leads,
      open,
      halfSaid: halfSaidOf(loads.one, leads, nodes.endNode, capped),
      owner: handles.flatMap((handle, at) => Array.from({ length: handle.size }, () => at)),
    },
  };
}

import {
  endKey,
  endsOf,
  layNodes,
  sourcesOf,
  type InSetting,
  type LoadState,
  type Circuit,
} from '../machine/index.js';
import type { Load, LoadEnd, Supply } from '../log/index.js';
import type { LoadId, SupplyId, TerminalId } from '../switch/index.js';

/** A circuit as a file: what feeds it, what it feeds, what is wired to what, and what each load does in each setting. */
export interface MachineFile {
  format: 'which-way-machine';
  version: 1;
  title: string;
  terminals: string[];
  supplies: Omit<Supply, 'id' | 'removed'>[];
  loads: Omit<Load, 'id' | 'removed'>[];
  /** Each lead by two places: `terminal 1`, `supply 0`, `load 0 end +`; supplies and loads by their place above. */
  leads: [from: string, to: string][];
  /** Places of which a wire leads nobody has said where. */
  open: string[];
  settings: { name: string; loads: (LoadState & { load: number })[] }[];
}

/** Every place of a machine by its node. */
function placeNames(circuit: Circuit, labels: readonly string[]): Map<number, string> {
  return new Map([
    ...labels.map((label, at): [number, string] => [at, `terminal ${label}`]),
    ...circuit.supplies.map(({ id }, at): [number, string] => [
      circuit.supplyNode.get(id) as number,
      `supply ${at}`,
    ]),
    ...circuit.loads.flatMap((load, at) =>
      endsOf(load).map((end): [number, string] => [
        circuit.endNode.get(endKey(load.id, end)) as number,
        `load ${at} end ${end}`,
      ]),
    ),
  ]);
}

/** A machine with what it does in its settings, for a file. */
export function machineFile(
  title: string,
  circuit: Circuit,
  labels: readonly string[],
  settings: readonly (Pick<InSetting, 'loads'> & { name: string })[],
): MachineFile {
  const places = placeNames(circuit, labels);
  const place = (node: number) => places.get(node) ?? `node ${node}`;
  return {
    format: 'which-way-machine',
    version: 1,
    title,
    terminals: [...labels],
    supplies: circuit.supplies.map(({ id: _id, removed: _removed, ...supply }) => supply),
    loads: circuit.loads.map(({ id: _id, removed: _removed, ...load }) => load),
    leads: circuit.leads.map(({ a, b }) => [place(a), place(b)]),
    open: [...circuit.open].map(place),
    settings: settings.map(({ name, loads }) => ({
      name,
      loads: circuit.loads.flatMap(({ id }, load) => {
        const state = loads.get(id);
        return state ? [{ load, ...state }] : [];
      }),
    })),
  };
}

/** The machine of such a file, with ids by place; null for what is none, or names a place that it does not have. */
export function machineOfFile(file: unknown): Circuit | null {
  if (!isMachineFile(file)) return null;
  const supplies = file.supplies.map((one, at): Supply => ({
    ...one,
    id: `supply ${at}` as SupplyId,
    removed: false,
  }));
  const loads = file.loads.map((one, at): Load => ({ ...one, id: `load ${at}` as LoadId, removed: false }));
  const laid = layNodes(file.terminals.length, supplies, loads);
  const nodeOf = (name: string): number | undefined => {
    const [, load, end] = /^(load \d+) end (.+)$/.exec(name) ?? [];
    if (load && end) return laid.endNode.get(endKey(load as LoadId, end as LoadEnd));
    const terminal = file.terminals.indexOf(name.replace(/^terminal /, ''));
    return name.startsWith('terminal ') && terminal >= 0 ? terminal : laid.supplyNode.get(name as SupplyId);
  };
  const ends = file.leads.map(([from, to]) => [nodeOf(from), nodeOf(to)] as const);
  const open = file.open.map(nodeOf);
  if ([...ends.flat(), ...open].includes(undefined)) return null;
  return {
    ...laid,
    supplies,
    sources: sourcesOf(supplies, []),
    loads,
    halfSaid: new Set<LoadId>(),
    terminals: file.terminals.map((label) => label as TerminalId),
    leads: ends.map(([a, b]) => ({ wire: null, a: a as number, b: b as number })),
    open: new Set(open as number[]),
  };
}

function isMachineFile(file: unknown): file is MachineFile {
  if (typeof file !== 'object' || file === null) return false;
  const { format, version, terminals, supplies, loads, leads, open } = file as Partial<
    Record<keyof MachineFile, unknown>
  >;
  return (
    format === 'which-way-machine' &&
    version === 1 &&
    [terminals, supplies, loads, leads, open].every(Array.isArray)
  );
}

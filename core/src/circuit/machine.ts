import type { SwitchMap } from '../continuity/index.js';
import {
  ampsOf,
  type Load,
  type LoadEnd,
  type LoadMake,
  loadTiesOf,
  recordsOf,
  type Supply,
  type WireEnd,
  wireEndsOf,
} from '../log/index.js';
import type { LoadId, TerminalId, WireId } from '../switch/index.js';

/** The ends of a load, by how it is made. */
export function endsOf({ kind, make }: Pick<Load, 'kind' | 'make'>): readonly LoadEnd[] {
  return kind === 'motor' && make ? ENDS[make] : ['1', '2'];
}

const ENDS: Record<LoadMake, readonly LoadEnd[]> = {
  'permanent-magnet': ['+', '-'],
  universal: ['1', '2'],
  capacitor: ['C', 'A', 'B'],
  'run-start': ['C', 'R', 'S'],
  reversible: ['M1', 'M2', 'S1', 'S2'],
  'three-phase': ['U1', 'V1', 'W1', 'U2', 'V2', 'W2'],
};

/** The windings of a load: between which of its ends something conducts. */
export function windingsOf({
  kind,
  make,
}: Pick<Load, 'kind' | 'make'>): readonly (readonly [LoadEnd, LoadEnd])[] {
  const windings = {
    'permanent-magnet': [['+', '-']],
    universal: [['1', '2']],
    capacitor: [['A', 'C'], ['B', 'C']], // prettier-ignore
    'run-start': [['R', 'C'], ['S', 'C']], // prettier-ignore
    reversible: [['M1', 'M2'], ['S1', 'S2']], // prettier-ignore
    'three-phase': [['U1', 'U2'], ['V1', 'V2'], ['W1', 'W2']], // prettier-ignore
  } as const;
  return kind === 'motor' && make ? windings[make] : [['1', '2']];
}

/** A lead between two nodes: a wire of the job, or an end of a load that goes straight on. */
export interface MachineLead {
  /** null: not a wire of this switch. */
  wire: WireId | null;
  a: number;
  b: number;
}

/**
 * What stands around a switch: nodes are its terminals first, by place, then the supplies, then the ends of the loads.
 */
export interface Machine {
  terminals: readonly TerminalId[];
  supplies: readonly Supply[];
  loads: readonly Load[];
  nodes: number;
  leads: readonly MachineLead[];
  /** Terminals with a wire whose end nobody has said, by place. */
  open: ReadonlySet<number>;
  /** Loads of which an end is not said: what they do is not known. */
  halfSaid: ReadonlySet<LoadId>;
  supplyNode: ReadonlyMap<string, number>;
  /** By 'load end'. */
  endNode: ReadonlyMap<string, number>;
  /** Which switch each terminal belongs to, by place; absent: all to one. */
  owner?: readonly number[];
}

export const endKey = (load: LoadId, end: LoadEnd): string => `${load} ${end}`;

/** Numbers the nodes of a machine: terminals by place, then supplies, then the ends of the loads. */
export function layNodes(
  terminals: number,
  supplies: readonly Supply[],
  loads: readonly Load[],
): Pick<Machine, 'nodes' | 'supplyNode' | 'endNode'> {
  let nodes = terminals;
  const supplyNode = new Map(supplies.map(({ id }) => [id as string, nodes++]));
  const endNode = new Map(
    loads.flatMap((load) => endsOf(load).map((end): [string, number] => [endKey(load.id, end), nodes++])),
  );
  return { nodes, supplyNode, endNode };
}

/** Loads of which an end goes nowhere that was said; `capped` ends were said to go nowhere. */
export function halfSaidOf(
  loads: readonly Load[],
  leads: readonly MachineLead[],
  endNode: ReadonlyMap<string, number>,
  capped: readonly { load: LoadId; end: LoadEnd }[],
): Set<LoadId> {
  const touched = new Set(leads.flatMap(({ a, b }) => [a, b]));
  const nowhere = new Set(capped.map(({ load, end }) => endKey(load, end)));
  const isSaid = (key: string) => touched.has(endNode.get(key) as number) || nowhere.has(key);
  return new Set(
    loads.filter((load) => endsOf(load).some((end) => !isSaid(endKey(load.id, end)))).map(({ id }) => id),
  );
}

/** The machine of a job, as far as its wires have ends; null while no load has a wire. */
export function machineOf({ structure, log }: Pick<SwitchMap, 'structure' | 'log'>): Machine | null {
  const terminals = structure.terminals.map(({ id }) => id);
  const [supplies, loads] = [recordsOf(log, 'supply-named'), recordsOf(log, 'load-named')];
  const place = new Map(terminals.map((id, at) => [id, at]));
  const { nodes, supplyNode, endNode } = layNodes(terminals.length, supplies, loads);
  const nodeOf = (end: WireEnd): number | undefined =>
    end.at === 'supply'
      ? supplyNode.get(end.supply)
      : end.at === 'load'
        ? endNode.get(endKey(end.load, end.end))
        : undefined;
  const ends = wireEndsOf(log);
  const leads: MachineLead[] = [];
  const open = new Set<number>();
  for (const { id, terminal } of recordsOf(log, 'wire-tagged')) {
    const at = terminal === null ? undefined : place.get(terminal);
    if (at === undefined) continue;
    const said = ends.get(id);
    // An end whose load or supply was taken away is not known any more.
    if (!said || said.some((end) => end.at !== 'nowhere' && nodeOf(end) === undefined)) open.add(at);
    for (const end of said ?? []) {
      const node = nodeOf(end);
      if (node !== undefined) leads.push({ wire: id, a: at, b: node });
    }
  }
  for (const { load, end, to } of loadTiesOf(log)) {
    const [a, b] = [endNode.get(endKey(load, end)), nodeOf(to)];
    if (a !== undefined && b !== undefined && a !== b) leads.push({ wire: null, a, b });
  }
  if (!leads.some(({ b, wire }) => wire !== null && b >= terminals.length + supplies.length)) return null;
  const nowhere = loadTiesOf(log).filter(({ to }) => to.at === 'nowhere');
  const halfSaid = halfSaidOf(loads, leads, endNode, nowhere);
  return { terminals, supplies, loads, nodes, leads, open, halfSaid, supplyNode, endNode };
}

/** What a load takes at its rated voltage, in siemens for each of its windings; null where it is not said. */
export function siemensOf(load: Load): number | null {
  const amps = ampsOf(load);
  const { volts, watts } = load;
  const count = load.make === 'three-phase' && load.kind === 'motor' ? 3 : 1;
  if (volts === null) return null;
  if (watts !== null) return watts / (count * volts * volts);
  return amps === null ? null : amps / volts;
}

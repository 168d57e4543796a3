import { ampsOf, type Load, type LoadEnd, type LoadMake, type Supply } from '../../log/index.js';
import type { Source } from './sources.js';
import type { LoadId, TerminalId, WireId } from '../../switch/index.js';

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

/** A lead between two nodes: a wire of a job, or an end of a load that goes straight on. */
export interface Lead {
  /** null: not a wire of a switch. */
  wire: WireId | null;
  a: number;
  b: number;
}

/**
 * What stands around switches, as current sees it: nodes are their terminals first, by place, then the supplies, then the ends of
 * the loads.
 */
export interface Circuit {
  terminals: readonly TerminalId[];
  supplies: readonly Supply[];
  sources: readonly Source[];
  loads: readonly Load[];
  nodes: number;
  leads: readonly Lead[];
  /** Terminals with a wire whose end nobody has said, by place. */
  open: ReadonlySet<number>;
  /** Loads of which an end is not said: what they do is not known. */
  halfSaid: ReadonlySet<LoadId>;
  supplyNode: ReadonlyMap<string, number>;
  /** By 'load end'. */
  endNode: ReadonlyMap<string, number>;
  /** Which handle each terminal belongs to, by place; absent: all to one. */
  owner?: readonly number[];
}

export const endKey = (load: LoadId, end: LoadEnd): string => `${load} ${end}`;

/** Numbers the nodes of a machine: terminals by place, then supplies, then the ends of the loads. */
export function layNodes(
  terminals: number,
  supplies: readonly Supply[],
  loads: readonly Load[],
): Pick<Circuit, 'nodes' | 'supplyNode' | 'endNode'> {
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
  leads: readonly Lead[],
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

/** What a load takes at its rated voltage, in siemens for each of its windings; null where it is not said. */
export function siemensOf(load: Load): number | null {
  const amps = ampsOf(load);
  const { volts, watts } = load;
  const count = load.make === 'three-phase' && load.kind === 'motor' ? 3 : 1;
  if (volts === null) return null;
  if (watts !== null) return watts / (count * volts * volts);
  return amps === null ? null : amps / volts;
}

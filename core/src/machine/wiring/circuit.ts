import { ampsOf, makeOf, type Load, type LoadEnd, type LoadMake, type Supply } from '../../log/index.js';
import { contactsOfCoil } from './coils.js';
import type { Source } from './sources.js';
import type { LoadId, TerminalId, WireId } from '../../switch/index.js';

/** The ends of a load, by how it is made. */
export function endsOf(load: Pick<Load, 'kind' | 'make'>): readonly LoadEnd[] {
  const make = makeOf(load);
  return make ? ENDS[make] : TWO_ENDS;
}

const TWO_ENDS: readonly LoadEnd[] = ['1', '2'];
const APART: readonly LoadEnd[] = ['A1', 'A2', 'F1', 'F2'];
const ENDS: Record<LoadMake, readonly LoadEnd[]> = {
  'permanent-magnet': ['+', '-'],
  universal: TWO_ENDS,
  capacitor: ['C', 'A', 'B'],
  'run-start': ['C', 'R', 'S'],
  reversible: ['M1', 'M2', 'S1', 'S2'],
  'three-phase': ['U1', 'V1', 'W1', 'U2', 'V2', 'W2'],
  'series-wound': APART,
  'shunt-wound': APART,
  'shaded-pole': TWO_ENDS,
  'two-speed': ['L1', 'L2', 'H1', 'H2'],
  tapped: ['C', 'T1', 'T2', 'T3'],
  'half-wave': TWO_ENDS,
  alternator: ['+', '-'],
  'current-transformer': TWO_ENDS,
  'signal-source': ['+', '-'],
  'signal-output': ['+', '-'],
  'double-coil': ['A1', 'A2', 'B1', 'B2'],
  relay: ['A1', 'A2', '11', '12', '14'],
  contactor: ['A1', 'A2', '1', '2', '3', '4', '5', '6', '13', '14', '21', '22'],
};

type Winding = readonly [LoadEnd, LoadEnd];
const ONE_WINDING: readonly Winding[] = [['1', '2']];
const ARMATURE_AND_FIELD: readonly Winding[] = [['A1', 'A2'], ['F1', 'F2']]; // prettier-ignore
const POLES: readonly Winding[] = [['+', '-']];
const COIL: readonly Winding[] = [['A1', 'A2']];
const WINDINGS: Record<LoadMake, readonly Winding[]> = {
  'permanent-magnet': POLES,
  universal: ONE_WINDING,
  capacitor: [['A', 'C'], ['B', 'C']],
  'run-start': [['R', 'C'], ['S', 'C']],
  reversible: [['M1', 'M2'], ['S1', 'S2']],
  'three-phase': [['U1', 'U2'], ['V1', 'V2'], ['W1', 'W2']],
  'series-wound': ARMATURE_AND_FIELD,
  'shunt-wound': ARMATURE_AND_FIELD,
  'shaded-pole': ONE_WINDING,
  'two-speed': [['L1', 'L2'], ['H1', 'H2']],
  tapped: [['C', 'T1'], ['T1', 'T2'], ['T2', 'T3']],
  'half-wave': ONE_WINDING,
  alternator: POLES,
  // What its primary drives through it is not worked out: only whether it is closed.
  'current-transformer': [],
  'signal-source': POLES,
  // An input of high impedance: a meter sees nothing through it.
  'signal-output': [],
  'double-coil': [['A1', 'A2'], ['B1', 'B2']],
  relay: COIL,
  contactor: COIL,
}; // prettier-ignore

/** The windings of a load: between which of its ends something conducts. */
export function windingsOf(load: Pick<Load, 'kind' | 'make'>): readonly Winding[] {
  const make = makeOf(load);
  return make ? WINDINGS[make] : ONE_WINDING;
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
  // What a contact of a coil goes to does not change what the coil takes.
  const needed = (load: Load) => (contactsOfCoil(load) ? windingsOf(load).flat() : endsOf(load));
  return new Set(
    loads.filter((load) => needed(load).some((end) => !isSaid(endKey(load.id, end)))).map(({ id }) => id),
  );
}

/** Ends of the contacts of coils of which another end goes somewhere and of this one nobody has said. */
export function halfContacts(
  loads: readonly Load[],
  leads: readonly Lead[],
  endNode: ReadonlyMap<string, number>,
  capped: readonly { load: LoadId; end: LoadEnd }[],
): number[] {
  const touched = new Set(leads.flatMap(({ a, b }) => [a, b]));
  const nowhere = new Set(capped.map(({ load, end }) => endKey(load, end)));
  return loads.flatMap((load) =>
    (contactsOfCoil(load)?.groups ?? []).flatMap((group) => {
      const keys = group.map((end) => endKey(load.id, end));
      const node = (key: string) => endNode.get(key) as number;
      if (!keys.some((key) => touched.has(node(key)))) return [];
      return keys.filter((key) => !touched.has(node(key)) && !nowhere.has(key)).map(node);
    }),
  );
}

/** How many windings share the power of a load: three phases; half a one where two lie in series. */
const ALIKE: Partial<Record<LoadMake, number>> = { 'three-phase': 3, 'series-wound': 0.5 };

const wound = new WeakMap<Circuit, Map<LoadId, readonly (readonly [number, number])[]>>();

/** The windings of a load of a circuit by the nodes of their ends. Kept by circuit, which never changes. */
export function windingNodes(circuit: Circuit, { id }: Load): readonly (readonly [number, number])[] {
  const kept = wound.get(circuit);
  if (kept) return kept.get(id) ?? [];
  const made = new Map(
    circuit.loads.map((load) => {
      const node = (end: LoadEnd) => circuit.endNode.get(endKey(load.id, end)) as number;
      return [load.id, windingsOf(load).map(([a, b]) => [node(a), node(b)] as const)] as const;
    }),
  );
  wound.set(circuit, made);
  return made.get(id) ?? [];
}

/** What a load takes at its rated voltage, in siemens for each of its windings; null where it is not said. */
export function siemensOf(load: Load): number | null {
  const amps = ampsOf(load);
  const { volts, watts } = load;
  const count = ALIKE[makeOf(load) ?? 'universal'] ?? 1;
  if (volts === null) return null;
  if (watts !== null) return watts / (count * volts * volts);
  return amps === null ? null : amps / volts;
}

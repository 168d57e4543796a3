import { makeOf, type Load, type LoadEnd } from '../../log/index.js';
import type { Partition } from '../../partition/index.js';
import type { LoadId } from '../../switch/index.js';
import { endKey, type Circuit } from '../wiring/circuit.js';

// Pickups, microphones, inputs: what reaches an output, and how. No watts are worked out of a signal.

/** What reaches an output: one source, what lies in its way, or several of these in series or in parallel. */
export type Signal =
  /** `turned`: its - lies towards the + of the output. */
  | { of: 'source'; load: LoadId; turned: boolean }
  /** A control or another part that makes no signal. */
  | { of: 'part'; load: LoadId }
  | { of: 'series' | 'parallel'; parts: readonly Signal[] };

/** How a source or an output of a signal stands. */
export type SignalState =
  /** Of an output: this reaches it. */
  | { is: 'reached'; by: Signal }
  /** Of an output: it is shorted, so that nothing is heard; or nothing is joined to it. */
  | { is: 'shorted' | 'not-reached' }
  /** Of an output: sources reach it in a way that is neither series nor parallel. */
  | { is: 'tangled'; sources: readonly LoadId[] }
  /** Of a source: it reaches an output; both its ends lie on the ground of an output; its ends are joined; one end hangs on an output; it is apart. */
  | { is: 'reaches' | 'grounded' | 'joined-ends' | 'hangs' | 'apart' };

/** Whether a load makes a signal or takes one. */
export const isSignal = (load: Load): boolean => isOutput(load) || isSource(load);
const isOutput = (load: Load) => makeOf(load) === 'signal-output';
const isSource = (load: Load) => makeOf(load) === 'signal-source';

/** Something between two nets: `a` is where its + lies. */
interface Edge {
  a: number;
  b: number;
  signal: Signal;
}

/**
 * How each source and output of a signal stands with these nets; null: a wire of which nobody has said where it goes may change it.
 * Series and parallel are found by reduction between the two ends of the output (Duffin 1965, from memory).
 */
export function signalsIn(
  circuit: Circuit,
  nets: Partition,
  dead: ReadonlySet<LoadId> = new Set(),
): Map<LoadId, SignalState | null> {
  const net = (load: Load, end: LoadEnd) =>
    nets[circuit.endNode.get(endKey(load.id, end)) as number] as number;
  const outputs = circuit.loads.filter(isOutput);
  const sources = circuit.loads.filter(isSource);
  if (outputs.length + sources.length === 0) return new Map();
  const edges = [
    ...sources
      .filter(({ id }) => !dead.has(id))
      .map((load): Edge => ({
        ...{ a: net(load, '+'), b: net(load, '-') },
        signal: { of: 'source', load: load.id, turned: false },
      })),
    ...circuit.loads
      .filter((load) => isPart(load) && !dead.has(load.id))
      .map((load): Edge => ({
        ...{ a: net(load, '1'), b: net(load, '2') },
        signal: { of: 'part', load: load.id },
      })),
  ];
  const doubtful = doubtfulNets(circuit, nets, edges);
  const states = new Map<LoadId, SignalState | null>();
  const heard = new Set<LoadId>();
  for (const output of outputs) {
    const ends: [number, number] = [net(output, '+'), net(output, '-')];
    if (circuit.halfSaid.has(output.id) || ends.some((end) => doubtful.has(end))) states.set(output.id, null);
    else {
      const { state, sources: reaching } = reachedBy(ends, edges);
      states.set(output.id, state);
      for (const source of reaching) heard.add(source);
    }
  }
  for (const source of sources) {
    const ends = (['+', '-'] as const).map((end) => net(source, end));
    const isKnown = !circuit.halfSaid.has(source.id) && ends.every((end) => !doubtful.has(end));
    states.set(source.id, isKnown ? sourceState(heard.has(source.id), ends, outputs, net) : null);
  }
  return states;
}

/** A control with two ends that lies in the way of a signal. */
const isPart = (load: Load) =>
  makeOf(load) === undefined && (load.kind === 'signal' || load.kind === 'resistive');

function sourceState(
  heard: boolean,
  [plus, minus]: readonly number[],
  outputs: readonly Load[],
  net: (load: Load, end: LoadEnd) => number,
): SignalState {
  if (heard) return { is: 'reaches' };
  if (plus === minus)
    return { is: outputs.some((output) => net(output, '-') === plus) ? 'grounded' : 'joined-ends' };
  // An output whose ends are joined hears nothing of what hangs on them.
  const hearing = outputs.filter((output) => net(output, '+') !== net(output, '-'));
  const hot = new Set(hearing.map((output) => net(output, '+')));
  return { is: [plus, minus].some((end) => hot.has(end as number)) ? 'hangs' : 'apart' };
}

/** Nets that a wire with an unsaid end, or a load with one, may join to anything: with all that hangs together with them. */
function doubtfulNets({ open, halfSaid, endNode, loads }: Circuit, nets: Partition, edges: readonly Edge[]) {
  const halves = loads
    .filter(({ id }) => halfSaid.has(id))
    .flatMap((load) => [...endNode].flatMap(([key, node]) => (key.startsWith(`${load.id} `) ? [node] : [])));
  const doubtful = new Set([...open, ...halves].map((node) => nets[node] as number));
  for (let size = -1; size !== doubtful.size;) {
    size = doubtful.size;
    for (const { a, b } of edges)
      if (doubtful.has(a) || doubtful.has(b)) {
        doubtful.add(a);
        doubtful.add(b);
      }
  }
  return doubtful;
}

function reachedBy(
  [plus, minus]: readonly [number, number],
  all: readonly Edge[],
): { state: SignalState; sources: LoadId[] } {
  if (plus === minus) return { state: { is: 'shorted' }, sources: [] };
  const edges = reaching(plus, reduced([plus, minus], all));
  const sources = edges.flatMap(({ signal }) => sourcesOfSignal(signal));
  if (sources.length === 0) return { state: { is: 'not-reached' }, sources };
  const [only] = edges;
  if (edges.length > 1 || !only) return { state: { is: 'tangled', sources: sources.toSorted() }, sources };
  return { state: { is: 'reached', by: only.a === plus ? only.signal : turned(only.signal) }, sources };
}

/** Edges that hang together with a net. */
function reaching(from: number, edges: readonly Edge[]): Edge[] {
  const reached = new Set([from]);
  for (let size = 0; size !== reached.size;) {
    size = reached.size;
    for (const { a, b } of edges) if (reached.has(a) || reached.has(b)) reached.add(a).add(b);
  }
  return edges.filter(({ a }) => reached.has(a));
}

/** Sources in a signal, from the + of the output to its -. */
function sourcesOfSignal(signal: Signal): LoadId[] {
  if (signal.of === 'source') return [signal.load];
  return signal.of === 'part' ? [] : signal.parts.flatMap(sourcesOfSignal);
}

/** The same from its other end. */
function turned(signal: Signal): Signal {
  switch (signal.of) {
    case 'source':
      return { ...signal, turned: !signal.turned };
    case 'part':
      return signal;
    case 'series':
      return { of: 'series', parts: signal.parts.map(turned).toReversed() };
    case 'parallel':
      return { of: 'parallel', parts: signal.parts.map(turned) };
  }
}

const partsOf = (of: 'series' | 'parallel', signal: Signal): readonly Signal[] =>
  signal.of === of ? signal.parts : [signal];

/** What is left between two nets when parallel edges are one, edges in a row are one, and what leads nowhere is gone. */
function reduced(ends: readonly [number, number], all: readonly Edge[]): Edge[] {
  let edges = all.filter(({ a, b }) => a !== b);
  for (;;) {
    const next = paralleled(edges) ?? serialised(edges, ends);
    if (!next) return edges;
    edges = next;
  }
}

function paralleled(edges: readonly Edge[]): Edge[] | null {
  for (const [at, one] of edges.entries()) {
    const other = edges
      .slice(at + 1)
      .find(({ a, b }) => (a === one.a && b === one.b) || (a === one.b && b === one.a));
    if (!other) continue;
    const second = other.a === one.a ? other.signal : turned(other.signal);
    const parts = [...partsOf('parallel', one.signal), ...partsOf('parallel', second)];
    const joined: Edge = { a: one.a, b: one.b, signal: { of: 'parallel', parts } };
    return edges.flatMap((edge) => (edge === one ? [joined] : edge === other ? [] : [edge]));
  }
  return null;
}

/** Two edges that meet in a net where nothing else is become one; one that ends in such a net is gone. */
function serialised(edges: readonly Edge[], ends: readonly number[]): Edge[] | null {
  for (const between of new Set(edges.flatMap(({ a, b }) => [a, b]))) {
    if (ends.includes(between)) continue;
    const here = edges.filter(({ a, b }) => a === between || b === between);
    if (here.length > 2) continue;
    const [one, other] = here;
    const rest = edges.filter((edge) => !here.includes(edge));
    if (!one || !other) return rest;
    const from = one.b === between ? one : { a: one.b, b: one.a, signal: turned(one.signal) };
    const on = other.a === between ? other : { a: other.b, b: other.a, signal: turned(other.signal) };
    if (from.a === on.b) return rest;
    const parts = [...partsOf('series', from.signal), ...partsOf('series', on.signal)];
    return edges.flatMap((edge) =>
      edge === one ? [{ a: from.a, b: on.b, signal: { of: 'series', parts } }] : edge === other ? [] : [edge],
    );
  }
  return null;
}

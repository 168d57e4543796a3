import { makeOf, type Load, type LoadEnd } from '../../log/index.js';
import type { Partition } from '../../partition/index.js';
import type { LoadId } from '../../switch/index.js';
import { endKey, type Circuit } from '../wiring/circuit.js';

// Pickups, microphones, inputs: what reaches an output, and how. No watts are worked out of a signal.

/** What reaches an output: one source, what lies in its way, or several of these in series or in parallel. */
export type Signal =
  /**
   * `turned`: its - lies towards the + of the output. `coils`: of two coils, which one, or how both lie; `against`: one the other way
   * round than the other.
   */
  | { of: 'source'; load: LoadId; turned: boolean; coils?: Coil | 'series' | 'parallel'; against?: true }
  /** A control or another part that makes no signal. */
  | { of: 'part'; load: LoadId }
  | { of: 'series' | 'parallel'; parts: readonly Signal[] };

/** One of two coils of a source. */
type Coil = 'A' | 'B';

/** How a source or an output of a signal stands. */
export type SignalState =
  /** Of an output: this reaches it. */
  | { is: 'reached'; by: Signal }
  /** Of an output: it is shorted, so that nothing is heard; or nothing is joined to it. */
  | { is: 'shorted' | 'not-reached' }
  /** Of an output: sources reach it in a way that is neither series nor parallel. */
  | { is: 'tangled'; sources: readonly LoadId[] }
  /** Of a source: it reaches an output; both its ends lie on the ground of an output; its ends are joined; one end hangs on an output; it is apart. */
  | { is: 'reaches' | 'grounded' | 'joined-ends' | 'hangs' | 'apart' }
  /** Of a source with two coils: this one alone reaches an output. */
  | { is: 'split'; coil: Coil };

/** Whether a load makes a signal or takes one. */
export const isSignal = (load: Pick<Load, 'kind' | 'make'>): boolean => isOutput(load) || isSource(load);
const isOutput = (load: Pick<Load, 'kind' | 'make'>) => makeOf(load) === 'signal-output';
const isSource = (load: Pick<Load, 'kind' | 'make'>) =>
  makeOf(load) === 'signal-source' || makeOf(load) === 'double-coil';

/** The coils of a source, each with its two ends, the hot one first. */
const coilsOf = (load: Load): readonly { coil?: Coil; ends: readonly [LoadEnd, LoadEnd] }[] =>
  makeOf(load) === 'double-coil'
    ? [{ coil: 'A', ends: ['A1', 'A2'] }, { coil: 'B', ends: ['B1', 'B2'] }]
    : [{ ends: ['+', '-'] }]; // prettier-ignore

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
      .flatMap((load) =>
        coilsOf(load).map(({ coil, ends: [hot, cold] }): Edge => ({
          ...{ a: net(load, hot), b: net(load, cold) },
          signal: { of: 'source', load: load.id, turned: false, ...(coil && { coils: coil }) },
        })),
      ),
    ...circuit.loads
      .filter((load) => isPart(load) && !dead.has(load.id))
      .map((load): Edge => ({
        ...{ a: net(load, '1'), b: net(load, '2') },
        signal: { of: 'part', load: load.id },
      })),
  ];
  const doubtful = doubtfulNets(circuit, nets, edges);
  const states = new Map<LoadId, SignalState | null>();
  const heard = new Set<string>();
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
    const coils = coilsOf(source).map(({ coil, ends }) => ({
      coil,
      at: ends.map((end) => net(source, end)),
    }));
    const isKnown =
      !circuit.halfSaid.has(source.id) && coils.every(({ at }) => at.every((end) => !doubtful.has(end)));
    const each = coils.map(({ coil, at }) =>
      sourceState(heard.has(sourceKey(source.id, coil)), at, outputs, net),
    );
    states.set(source.id, isKnown ? ofBothCoils(each) : null);
  }
  return states;
}

const sourceKey = (load: LoadId, coil: Coil | undefined): string => `${load} ${coil ?? ''}`;

/** How one coil stands. */
interface SourceState {
  is: 'reaches' | (typeof IDLE)[number];
}

/** Of what is idle, what a person has to know first. */
const IDLE = ['grounded', 'joined-ends', 'hangs', 'apart'] as const;

/** How a source stands by how each of its coils does. */
function ofBothCoils(each: readonly SourceState[]): SignalState {
  const reaching = each.map(({ is }) => is === 'reaches');
  if (reaching.every(Boolean)) return { is: 'reaches' };
  if (reaching.some(Boolean)) return { is: 'split', coil: reaching[0] ? 'A' : 'B' };
  return { is: IDLE.find((is) => each.some((one) => one.is === is)) ?? 'apart' };
}

/** Both coils of a source that lie in series or in parallel by themselves, as the one source that they are. */
function folded(signal: Signal): Signal {
  if (signal.of !== 'series' && signal.of !== 'parallel') return signal;
  const parts = signal.parts.map(folded).reduce<Signal[]>((all, part) => {
    const last = signal.of === 'parallel' ? all.find((one) => isOther(one, part)) : all.at(-1);
    if (!last || !isOther(last, part) || last.of !== 'source' || part.of !== 'source') return [...all, part];
    const both: Signal = {
      ...{ of: 'source', load: last.load, coils: signal.of, turned: last.turned && part.turned },
      ...(last.turned !== part.turned && { against: true as const }),
    };
    return all.map((one) => (one === last ? both : one));
  }, []);
  const [only] = parts;
  return parts.length === 1 && only ? only : { of: signal.of, parts };
}

/** Whether two signals are the two coils of one source. */
const isOther = (one: Signal, other: Signal): boolean =>
  one.of === 'source' &&
  other.of === 'source' &&
  one.load === other.load &&
  [one.coils, other.coils].toSorted().join() === 'A,B';

/** A control with two ends that lies in the way of a signal. */
const isPart = (load: Load) =>
  makeOf(load) === undefined && (load.kind === 'signal' || load.kind === 'resistive');

function sourceState(
  heard: boolean,
  [plus, minus]: readonly number[],
  outputs: readonly Load[],
  net: (load: Load, end: LoadEnd) => number,
): SourceState {
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
): { state: SignalState; sources: string[] } {
  if (plus === minus) return { state: { is: 'shorted' }, sources: [] };
  const edges = reaching(plus, reduced([plus, minus], all));
  const found = edges.flatMap(({ signal }) => sourcesOfSignal(signal));
  const sources = found.map(({ load, coil }) => sourceKey(load, coil));
  if (sources.length === 0) return { state: { is: 'not-reached' }, sources };
  const [only] = edges;
  const loads = [...new Set(found.map(({ load }) => load))].toSorted();
  if (edges.length > 1 || !only) return { state: { is: 'tangled', sources: loads }, sources };
  const by = folded(only.a === plus ? only.signal : turned(only.signal));
  return { state: { is: 'reached', by }, sources };
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
function sourcesOfSignal(signal: Signal): { load: LoadId; coil: Coil | undefined }[] {
  if (signal.of === 'source')
    return [
      { load: signal.load, coil: signal.coils === 'A' || signal.coils === 'B' ? signal.coils : undefined },
    ];
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

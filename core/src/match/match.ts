import { blocks, type Pattern } from '../partition/index.js';
import { fitPart, PLAIN_RULES, type Fit, type FitResult, type FitRules } from './fit/fit.js';
import { compilePart, type CompiledPart } from './fit/part.js';
import { isFit } from './fit/verify-fit.js';
import { compileDemand, MOST_WIRES, type WireDemand } from './fit/wires.js';

/** More positions than this do not fit the bits in which it is said what is known. */
export const MOST_POSITIONS = 32;

/** What a replacement has to do: the nets in every position over the terminals that are used. */
export interface Requirement {
  pattern: Pattern;
  /** Places of the terminals that a replacement has to serve: the wires. */
  terminals: number[];
  /** Per pair of those (row by row) the positions, one bit each, in which the fact is known; null when all are. */
  known: Uint32Array | null;
  /** Pairs of places that must never meet, in no position that the handle passes: two supplies. */
  never?: readonly (readonly [number, number])[];
}

/** What a candidate can be. 'no' is proved, within the rules of the search; 'undecided' says that it stopped at its cap. */
export type MatchResult =
  | {
      kind: 'same-wiring' | 'fits-so-far';
      /** For each needed terminal the candidate's; several where a junction is added. */
      terminals: { from: number; to: number }[];
      /** For each needed position the candidate's. */
      positions: { from: number; to: number }[];
      order: 'same' | 'reversed';
      /** Junctions that have to be added. */
      jumpers: number;
      /** Positions of the candidate that lie between those that are used: no stop takes them away. */
      between: number[];
      /** All that are not used, those between among them. */
      sparePositions: number[];
      spareTerminals: number[];
      steps: number;
    }
  | { kind: 'no'; because: 'too-few-terminals' | 'too-few-positions' | 'wiring'; needed: number; has: number }
  | { kind: 'undecided'; because: 'search-cap' | 'too-large'; steps: number };

/** A requirement by wires: what is not known binds nothing. */
export function demandOf({ pattern, terminals, known, never = [] }: Requirement): WireDemand {
  const place = new Map(terminals.map((terminal, wire) => [terminal, wire]));
  const wires = terminals.length;
  return {
    wires,
    never: never.flatMap(([one, other]): [number, number][] => {
      const [a, b] = [place.get(one), place.get(other)];
      return a === undefined || b === undefined ? [] : [[a, b]];
    }),
    positions: pattern.map((partition, position) => {
      const free: [number, number][] = [];
      if (known)
        for (let a = 0; a < wires; a += 1)
          for (let b = a + 1; b < wires; b += 1)
            if ((((known[a * wires + b] ?? 0) >>> position) & 1) === 0) free.push([a, b]);
      const loose = new Set(free.map(String));
      const nets = blocks(partition)
        .map((net) => net.flatMap((terminal) => place.get(terminal) ?? []))
        .filter((net) => net.length > 1);
      // What is known to join is said pair by pair: an unknown pair between two known ones is bound by them.
      const joined = nets.flatMap((net) =>
        net.flatMap((a, at) =>
          net
            .slice(at + 1)
            .map((b): [number, number] => [Math.min(a, b), Math.max(a, b)])
            .filter((pair) => !loose.has(String(pair))),
        ),
      );
      return { joined, free };
    }),
  };
}

/**
 * Whether an answer holds, looked at anew from the requirement and the candidate's nets alone. For every answer that is shown, in
 * production too.
 */
export function isTrueMatch(required: Requirement, candidate: Pattern, result: MatchResult): boolean {
  if (!('terminals' in result)) return true;
  const wireOf = new Array<number>(candidate[0]?.length ?? 0).fill(-1);
  for (const { from, to } of result.terminals) wireOf[to] = required.terminals.indexOf(from);
  const positions = result.positions.map(({ to }) => to);
  const { between, jumpers } = result;
  const reversed = result.order === 'reversed';
  return isFit(demandOf(required), candidate, {
    ...{ kind: 'fits', wireOf, positions, between, jumpers, reversed, nodes: 0 },
  });
}

/** What is kept of a part that was made ready: enough for all of a making but the first. */
export type ReadyPart = { making: string; order: ArrayLike<number> } | CompiledPart;

/** Compares candidates with one requirement. Those of the same making are compared once. */
export function matcherFor(
  required: Requirement,
  rules: FitRules = PLAIN_RULES,
): (candidate: Pattern, ready?: ReadyPart) => MatchResult {
  const needed = required.terminals.length;
  const wanted = required.pattern.length;
  if (needed > MOST_WIRES || wanted > MOST_POSITIONS)
    return () => ({ kind: 'undecided', because: 'too-large', steps: 0 });
  const demand = demandOf(required);
  const compiled = compileDemand(demand);
  const seen = new Map<string, { result: FitResult; order: ArrayLike<number> }>();
  /** An answer that does not hold when it is looked at anew is none. */
  const verified = (result: FitResult, candidate: Pattern): FitResult =>
    result.kind === 'fits' && !isFit(demand, candidate, result, rules.wraps)
      ? { kind: 'undecided', nodes: result.nodes }
      : result;
  return (candidate, ready) => {
    const [has, given] = [candidate[0]?.length ?? 0, candidate.length];
    if (needed > has) return { kind: 'no', because: 'too-few-terminals', needed, has };
    if (wanted > given) return { kind: 'no', because: 'too-few-positions', needed: wanted, has: given };
    const part = ready ?? compilePart(candidate);
    const before = seen.get(part.making);
    const whole = () => ('pattern' in part ? part : compilePart(candidate));
    const result = before
      ? carriedOver(before, part)
      : verified(fitPart(compiled, whole(), rules), candidate);
    if (!before) seen.set(part.making, { result, order: part.order });
    if (result.kind === 'no') return { kind: 'no', because: 'wiring', needed: wanted, has: given };
    if (result.kind !== 'fits') return { kind: 'undecided', because: 'search-cap', steps: result.nodes };
    return told(required, result, candidate);
  };
}

/** Whether one candidate has the required wiring, within the rules. */
export const matchPattern = (
  required: Requirement,
  candidate: Pattern,
  rules: FitRules = PLAIN_RULES,
): MatchResult => matcherFor(required, rules)(candidate);

/** The answer for one part on another of the same making. */
function carriedOver(
  { result, order }: { result: FitResult; order: ArrayLike<number> },
  part: ReadyPart,
): FitResult {
  if (result.kind !== 'fits') return result;
  const wireOf = new Array<number>(part.order.length).fill(-1);
  for (let at = 0; at < order.length; at += 1)
    wireOf[part.order[at] as number] = result.wireOf[order[at] as number] as number;
  return { ...result, wireOf };
}

function told(required: Requirement, fit: Fit, candidate: Pattern): MatchResult {
  const { wireOf, positions, reversed, jumpers, between, nodes } = fit;
  return {
    kind: required.known ? 'fits-so-far' : 'same-wiring',
    terminals: wireOf
      .flatMap((wire, to) => (wire < 0 ? [] : [{ from: required.terminals[wire] as number, to }]))
      .toSorted((one, other) => one.from - other.from || one.to - other.to),
    positions: positions.map((to, from) => ({ from, to })),
    order: reversed ? 'reversed' : 'same',
    jumpers,
    between,
    sparePositions: candidate.map((_, at) => at).filter((at) => !positions.includes(at)),
    spareTerminals: wireOf.flatMap((wire, to) => (wire < 0 ? [to] : [])),
    steps: nodes,
  };
}

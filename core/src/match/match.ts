import { blocks, type Pattern } from '../partition/index.js';
import { fitEveryWay, fitPart, PLAIN_RULES, type Fit, type FitResult, type FitRules } from './fit/fit.js';
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
  /** Per pair, as above, the positions in which its joining does not matter; absent where all matters. */
  free?: Uint32Array;
  /** Pairs of places that must never meet, in no position that the handle passes: two supplies. */
  never?: readonly (readonly [number, number])[];
}

/** Why a candidate is none; 'spares' and 'returns' where those were ruled out. */
export type NoMatch = 'too-few-terminals' | 'too-few-positions' | 'wiring' | 'spares' | 'returns';

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
  | { kind: 'no'; because: NoMatch; needed: number; has: number }
  | { kind: 'undecided'; because: 'search-cap' | 'too-large'; steps: number };

/** A requirement by wires: what is not known binds nothing. */
function demandOf({ pattern, terminals, known, free: loosened, never = [] }: Requirement): WireDemand {
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
      const isSet = (bits: Uint32Array, cell: number) => (((bits[cell] ?? 0) >>> position) & 1) === 1;
      for (let a = 0; a < wires; a += 1)
        for (let b = a + 1; b < wires; b += 1) {
          const cell = a * wires + b;
          if ((known && !isSet(known, cell)) || (loosened && isSet(loosened, cell))) free.push([a, b]);
        }
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
    kind: 'fits',
    wireOf,
    positions,
    between,
    jumpers,
    reversed,
    nodes: 0,
  });
}

/** What is kept of a part that was made ready: enough for all of a making but the first. */
export type ReadyPart = { making: string; order: ArrayLike<number> } | CompiledPart;

/** What speaks against an answer that has more than one way to be laid: the fewer the better. */
type Gravely = (result: Extract<MatchResult, { terminals: unknown }>) => number;

/** What came out for a making: the first way to lay it, and all others once somebody asked for them. */
interface Seen {
  order: ArrayLike<number>;
  result: FitResult;
  others: Fit[] | null;
}

/**
 * Compares candidates with one requirement. Those of the same making are compared once. Where something speaks against the first
 * way to lay a candidate, the other ways are looked at too, and the best is answered.
 */
export function matcherFor(
  required: Requirement,
  rules: FitRules & { spares?: boolean } = PLAIN_RULES,
): (candidate: Pattern, ready?: ReadyPart, gravely?: Gravely) => MatchResult {
  const needed = required.terminals.length;
  const wanted = required.pattern.length;
  if (needed > MOST_WIRES || wanted > MOST_POSITIONS)
    return () => ({ kind: 'undecided', because: 'too-large', steps: 0 });
  const demand = demandOf(required);
  const compiled = compileDemand(demand);
  const seen = new Map<string, Seen>();
  /** An answer that does not hold when it is looked at anew is none. */
  const holds = (fit: Fit, candidate: Pattern) => isFit(demand, candidate, fit, rules.wraps);
  const verified = (result: FitResult, candidate: Pattern): FitResult =>
    result.kind === 'fits' && !holds(result, candidate) ? { kind: 'undecided', nodes: result.nodes } : result;
  return (candidate, ready, gravely) => {
    const [has, given] = [candidate[0]?.length ?? 0, candidate.length];
    const no = (because: NoMatch, many = [wanted, given] as const): MatchResult => ({
      kind: 'no',
      because,
      needed: many[0],
      has: many[1],
    });
    if (needed > has) return no('too-few-terminals', [needed, has]);
    if (wanted > given) return no('too-few-positions');
    if (rules.spares === false && given > wanted) return no('spares');
    const part = ready ?? compilePart(candidate);
    const whole = () => ('pattern' in part ? part : compilePart(candidate));
    let before = seen.get(part.making);
    if (!before) {
      const result = verified(fitPart(compiled, whole(), rules), candidate);
      seen.set(part.making, (before = { result, order: part.order, others: null }));
    }
    const result = carriedOver(before.result, before.order, part);
    if (result.kind === 'no') return no('wiring');
    if (result.kind !== 'fits') return { kind: 'undecided', because: 'search-cap', steps: result.nodes };
    const first = told(required, result, candidate);
    if (!gravely || gravely(first) === 0) return first;
    before.others ??= fitEveryWay(compiled, whole(), rules)
      .filter((fit) => holds(fit, candidate))
      .map((fit) => ({ ...fit, wireOf: namedLike(fit.wireOf, part.order, before.order) }));
    const ways = before.others.map((fit) => told(required, carriedOver(fit, before.order, part), candidate));
    return ways.reduce((best, way) => (gravely(way) < gravely(best) ? way : best), first);
  };
}

/**
 * Whether one candidate has the required wiring, within the rules.
 * @example
 * const required = { pattern: [[0, 0, 2], [0, 1, 0]], terminals: [0, 1, 2], known: null };
 * const found = matchPattern(required, [[0, 1, 1], [0, 1, 0]]);
 * [found.kind, found.terminals] // => ['same-wiring', [{ from: 0, to: 2 }, { from: 1, to: 1 }, { from: 2, to: 0 }]]
 */
export const matchPattern = (
  required: Requirement,
  candidate: Pattern,
  rules: FitRules = PLAIN_RULES,
): MatchResult => matcherFor(required, rules)(candidate);

/** Terminals of one order of a making as they stand in another. */
function namedLike(wireOf: readonly number[], from: ArrayLike<number>, to: ArrayLike<number>): number[] {
  const named = new Array<number>(to.length).fill(-1);
  for (let at = 0; at < from.length; at += 1) named[to[at] as number] = wireOf[from[at] as number] as number;
  return named;
}

/** The answer for one part on another of the same making. */
function carriedOver<Result extends FitResult>(
  result: Result,
  order: ArrayLike<number>,
  part: ReadyPart,
): Result {
  if (result.kind !== 'fits') return result;
  return { ...result, wireOf: namedLike(result.wireOf, order, part.order) };
}

function told(
  required: Requirement,
  fit: Fit,
  candidate: Pattern,
): Extract<MatchResult, { terminals: unknown }> {
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

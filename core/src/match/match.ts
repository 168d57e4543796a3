import { MOST_POSITIONS_OF_A_HANDLE, MOST_TERMINALS } from '../schema/index.js';
import { blocks, type Pattern } from '../partition/index.js';
import { Fitter, PLAIN_RULES, type Fit, type FitResult, type FitRules } from './fit/fit.js';
import { compilePart, type CompiledPart } from './fit/part.js';
import { isFit } from './fit/verify-fit.js';
import { PairBits } from './pair-bits.js';
import { compileDemand, type WireDemand } from './fit/wires.js';

/** More wires and positions than this are not searched: such a search answers 'undecided'. */
export const MOST_WIRES = MOST_TERMINALS;
export const MOST_POSITIONS = MOST_POSITIONS_OF_A_HANDLE;

/** What a replacement has to do: the nets in every position over the terminals that are used. */
export interface Requirement {
  pattern: Pattern;
  /** Places of the terminals that a replacement has to serve: the wires. */
  terminals: number[];
  /** Per pair of those the positions in which the fact is known, as `PairBits` has them; null when all are. */
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
  const bits = (of: Uint32Array | null | undefined) => of && new PairBits(wires, pattern.length, of);
  const [isKnown, isFree] = [bits(known), bits(loosened)];
  return {
    wires,
    never: never.flatMap(([one, other]): [number, number][] => {
      const [a, b] = [place.get(one), place.get(other)];
      return a === undefined || b === undefined ? [] : [[a, b]];
    }),
    positions: pattern.map((partition, position) => {
      const free: [number, number][] = [];
      for (let a = 0; a < wires; a += 1)
        for (let b = a + 1; b < wires; b += 1) {
          if (isKnown?.has(a, b, position) === false || isFree?.has(a, b, position)) free.push([a, b]);
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
  laid: Laid | null;
  others: { wireOf: number[]; laid: Laid }[] | null;
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
  const fitter = new Fitter(compileDemand(demand), rules);
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
      const result = verified(fitter.fit(whole()), candidate);
      const laid = result.kind === 'fits' ? laidBy(required, result, given) : null;
      seen.set(part.making, (before = { result, laid, order: part.order, others: null }));
    }
    const { result, laid, order } = before;
    if (result.kind === 'no') return no('wiring');
    if (result.kind !== 'fits' || !laid)
      return { kind: 'undecided', because: 'search-cap', steps: result.nodes };
    const as = (wireOf: readonly number[], way: Laid) =>
      told(way, required.terminals, namedLike(wireOf, order, part.order));
    const first = as(result.wireOf, laid);
    if (!gravely || gravely(first) === 0) return first;
    before.others ??= fitter
      .everyWay(whole())
      .filter((fit) => holds(fit, candidate))
      .map((fit) => ({
        wireOf: namedLike(fit.wireOf, part.order, order),
        laid: laidBy(required, fit, given),
      }));
    return before.others
      .map(({ wireOf, laid: way }) => as(wireOf, way))
      .reduce((best, way) => (gravely(way) < gravely(best) ? way : best), first);
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

/** What a fit says of positions and in numbers: the same for all parts of a making. */
type Laid = Omit<Extract<MatchResult, { terminals: unknown }>, 'terminals' | 'spareTerminals'>;

function laidBy(required: Requirement, fit: Fit, given: number): Laid {
  const { positions, reversed, jumpers, between, nodes } = fit;
  const used = new Set(positions);
  return {
    kind: required.known ? 'fits-so-far' : 'same-wiring',
    positions: positions.map((to, from) => ({ from, to })),
    order: reversed ? 'reversed' : 'same',
    jumpers,
    between,
    sparePositions: Array.from({ length: given }, (_, at) => at).filter((at) => !used.has(at)),
    steps: nodes,
  };
}

function told(
  laid: Laid,
  required: readonly number[],
  wireOf: readonly number[],
): Extract<MatchResult, { terminals: unknown }> {
  const byWire: number[][] = required.map(() => []);
  const spareTerminals: number[] = [];
  for (let to = 0; to < wireOf.length; to += 1) {
    const wire = wireOf[to] as number;
    (wire < 0 ? spareTerminals : (byWire[wire] as number[])).push(to);
  }
  const terminals: { from: number; to: number }[] = [];
  byWire.forEach((list, wire) => {
    for (const to of list) terminals.push({ from: required[wire] as number, to });
  });
  return { ...laid, terminals, spareTerminals };
}

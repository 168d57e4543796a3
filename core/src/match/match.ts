import type { Pattern } from '../partition/index.js';
import { findEmbedding } from './embedding.js';
import { MOST_POSITIONS, relationOf, type Relation } from './relation.js';
import { symmetryOf } from './symmetry.js';

/** What a replacement has to do: the nets in every position over the terminals that are used. */
export interface Requirement {
  pattern: Pattern;
  /** Places of the terminals that a replacement has to serve. */
  terminals: number[];
  /** Per pair of those (row by row) the positions, one bit each, in which the fact is known; null when all are. */
  known: Uint32Array | null;
}

/** What a candidate can be. 'no' is proved; 'undecided' says that the search stopped at its cap. */
export type MatchResult =
  | {
      kind: 'same-wiring' | 'fits-so-far';
      /** For each needed terminal the candidate's. */
      terminals: { from: number; to: number }[];
      /** For each needed position the candidate's. */
      positions: { from: number; to: number }[];
      order: 'same' | 'reversed';
      sparePositions: number[];
      spareTerminals: number[];
      steps: number;
    }
  | { kind: 'no'; because: 'too-few-terminals' | 'too-few-positions' | 'wiring'; needed: number; has: number }
  | { kind: 'undecided'; because: 'search-cap' | 'too-many-positions'; steps: number };

/** How many assignments one candidate may cost before the answer is 'undecided'. */
export const STEP_CAP = 200_000;

/**
 * Whether a candidate has the required wiring under some naming of its terminals and with the positions kept in
 * order or reversed, as a contiguous run (spare positions before and after). Exact within the cap.
 */
export function matchPattern(required: Requirement, candidate: Pattern, cap: number = STEP_CAP): MatchResult {
  const needed = required.terminals.length;
  const has = candidate[0]?.length ?? 0;
  const [wanted, given] = [required.pattern.length, candidate.length];
  if (needed > has) return { kind: 'no', because: 'too-few-terminals', needed, has };
  if (wanted > given) return { kind: 'no', because: 'too-few-positions', needed: wanted, has: given };
  if (wanted > MOST_POSITIONS) return { kind: 'undecided', because: 'too-many-positions', steps: 0 };
  const order = Array.from({ length: wanted }, (_, index) => index);
  const need = relationOf(required.pattern, order, required.terminals);
  let steps = 0;
  let undecided = false;
  for (const run of positionRuns(wanted, given)) {
    const relation = relationOf(candidate, run, allOf(has));
    const found = findEmbedding(need, relation, required.known, {
      steps: cap - steps,
      symmetry: symmetryOf(relation),
    });
    steps += found.steps;
    if (found.kind === 'found') return success(required, found.map, run, { has, given, steps });
    if (found.kind === 'undecided') undecided = true;
    if (steps >= cap) return { kind: 'undecided', because: 'search-cap', steps };
  }
  if (undecided) return { kind: 'undecided', because: 'search-cap', steps };
  return { kind: 'no', because: 'wiring', needed: wanted, has: given };
}

function success(
  required: Requirement,
  map: readonly number[],
  run: readonly number[],
  { has, given, steps }: { has: number; given: number; steps: number },
): MatchResult {
  const reversed = run.length > 1 && (run[0] as number) > (run[1] as number);
  return {
    kind: required.known ? 'fits-so-far' : 'same-wiring',
    terminals: required.terminals.map((from, index) => ({ from, to: map[index] as number })),
    positions: run.map((to, from) => ({ from, to })),
    order: reversed ? 'reversed' : 'same',
    sparePositions: allOf(given).filter((position) => !run.includes(position)),
    spareTerminals: allOf(has).filter((terminal) => !map.includes(terminal)),
    steps,
  };
}

/** Contiguous runs of candidate positions: in the same order first, then reversed. */
export function* positionRuns(wanted: number, given: number): Generator<number[]> {
  for (let offset = 0; offset + wanted <= given; offset += 1) {
    yield allOf(wanted).map((index) => offset + index);
  }
  if (wanted === 1) return;
  for (let offset = 0; offset + wanted <= given; offset += 1) {
    yield allOf(wanted).map((index) => offset + wanted - 1 - index);
  }
}

function allOf(size: number): number[] {
  return Array.from({ length: size }, (_, index) => index);
}

/** Whether a map really carries the required relation to the candidate's: the check that search results must pass. */
export function reproduces(
  required: Requirement,
  candidate: Pattern,
  result: Extract<MatchResult, { kind: 'same-wiring' | 'fits-so-far' }>,
): boolean {
  const size = required.terminals.length;
  return result.positions.every(({ from, to }) =>
    result.terminals.every((one, a) =>
      result.terminals.every((other, b) => {
        const known = !required.known || ((required.known[a * size + b] ?? 0) >>> from) & 1;
        const need = required.pattern[from]?.[one.from] === required.pattern[from]?.[other.from];
        const have = candidate[to]?.[one.to] === candidate[to]?.[other.to];
        return !known || need === have;
      }),
    ),
  );
}

export type { Relation };

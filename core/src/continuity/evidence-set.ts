import type { ReadingId } from '../switch/index.js';
import type { Link } from './link.js';
import {
  emptyState,
  hold,
  inferDeeply,
  mayHold,
  merge,
  Steps,
  type Clause,
  type NetState,
} from './net-state.js';

/** Evidence of one setting by what it says: pairs that join, pairs that part (a silent bundle is many), low bundles. */
export interface EvidenceSet {
  joins: Link[];
  opens: Link[];
  clauses: Clause[];
}

/** Evidence without some readings. */
export function without(
  { joins, opens, clauses }: EvidenceSet,
  readings: ReadonlySet<ReadingId>,
): EvidenceSet {
  const rest = <Item extends { reading: ReadingId }>(items: readonly Item[]) =>
    items.filter(({ reading }) => !readings.has(reading));
  return { joins: rest(joins), opens: rest(opens), clauses: rest(clauses) };
}

/** Every reading in it once, in one order whatever the order of arrival. */
function readingsIn({ joins, opens, clauses }: EvidenceSet): ReadingId[] {
  return [...new Set([...joins, ...opens, ...clauses].map(({ reading }) => reading))].sort();
}

/** Everything that follows from the evidence; null when it contradicts itself. Throws TooTangled when the steps run out. */
export function inferFrom(
  size: number,
  evidence: EvidenceSet,
  steps: Steps = new Steps(Infinity),
): NetState | null {
  const state = stateOfPairs(size, evidence);
  return state && inferDeeply(state, evidence.clauses, steps) ? state : null;
}

/**
 * Whether the evidence contradicts itself, as far as one capped search sees: quicker than inferring all of it, and never
 * true of evidence that can hold.
 */
export function contradictsItself(size: number, evidence: EvidenceSet, steps: Steps): boolean {
  const state = stateOfPairs(size, evidence);
  return !state || !mayHold(state, evidence.clauses, steps);
}

function stateOfPairs(size: number, { joins, opens }: EvidenceSet): NetState | null {
  const state = emptyState(size);
  const agrees =
    joins.every(({ a, b }) => merge(state, a, b)) && opens.every(({ a, b }) => hold(state, a, b));
  return agrees ? state : null;
}

/**
 * An irreducible set of readings for which something still holds: each is tried away in the one order. `holds` must hold
 * for the whole evidence, and never become true by taking readings away.
 */
export function shrink(evidence: EvidenceSet, holds: (part: EvidenceSet) => boolean): ReadingId[] {
  const gone = new Set<ReadingId>();
  const all = readingsIn(evidence);
  for (const reading of all) {
    gone.add(reading);
    if (!holds(without(evidence, gone))) gone.delete(reading);
  }
  return all.filter((reading) => !gone.has(reading));
}
